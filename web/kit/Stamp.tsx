import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { STATE_WORDS, VERDICT_WORDS } from './words';

const COLOURS: Record<Schemas['MachineState'], string> = {
  past: 'var(--clay)',
  due: 'var(--clay)',
  stood_down: 'var(--ink)',
  nearing: 'var(--straw)',
  unknown: 'var(--slate)',
  fresh: 'var(--hedge)',
};

const Outline = styled.span<{ $colour: string }>`
  display: inline-block; transform: rotate(-5deg);
  border: 2.2px solid ${({ $colour }) => $colour};
  color: ${({ $colour }) => $colour}; border-radius: 2px; background: var(--sheet);
  padding: 2px 8px; font-size: 14px; line-height: 1.25; font-weight: 700; letter-spacing: 0.11em;
  text-transform: uppercase; white-space: nowrap;
`;

/** A state, stamped. */
export function Stamp({ state }: { state: Schemas['MachineState'] }) {
  return (
    <Outline data-stamp $colour={COLOURS[state]}>
      {STATE_WORDS[state]}
    </Outline>
  );
}

const VERDICT_COLOURS: Record<Schemas['Verdict'], string> = {
  fit: 'var(--hedge)',
  watch: 'var(--straw)',
  act: 'var(--clay)',
  stand_down: 'var(--ink)',
};

/** A verdict, stamped. */
export function VerdictStamp({ verdict }: { verdict: Schemas['Verdict'] }) {
  return (
    <Outline data-stamp $colour={VERDICT_COLOURS[verdict]}>
      {VERDICT_WORDS[verdict]}
    </Outline>
  );
}

/** Nobody looked at what must be looked at. */
export const NotJudgedStamp = () => (
  <Outline data-stamp $colour="var(--slate)">
    not judged
  </Outline>
);

/** What a rule says or what was found at its spots, whichever is the harder. */
export function ToldStamp({ told }: { told: Schemas['Told'] }) {
  return told === 'watch' || told === 'act' || told === 'stand_down' ? (
    <VerdictStamp verdict={told} />
  ) : (
    <Stamp state={told} />
  );
}

export const verdictColour = (verdict: Schemas['Verdict']): string => VERDICT_COLOURS[verdict];

export const stateColour = (state: Schemas['MachineState']): string =>
  state === 'fresh' ? 'var(--ink)' : COLOURS[state];
