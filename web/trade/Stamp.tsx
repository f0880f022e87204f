import styled from 'styled-components';
import { isFine, type NameOf, of } from '../offline/states';
import { type Shown, stateWords } from './words';

const COLOURS: Record<NameOf<Shown>, string> = {
  past: 'var(--clay)',
  due: 'var(--clay)',
  act: 'var(--clay)',
  stood_down: 'var(--ink)',
  stand_down: 'var(--ink)',
  nearing: 'var(--straw)',
  watch: 'var(--straw)',
  unknown: 'var(--slate)',
  fresh: 'var(--hedge)',
  fit: 'var(--hedge)',
};

const Outline = styled.span<{ $colour: string }>`
  display: inline-block; transform: rotate(-5deg);
  border: 2.2px solid ${({ $colour }) => $colour};
  color: ${({ $colour }) => $colour}; border-radius: 2px; background: var(--sheet);
  padding: 2px 8px; font-size: 14px; line-height: 1.25; font-weight: 700; letter-spacing: 0.11em;
  text-transform: uppercase; white-space: nowrap;
`;

/** A state or a verdict, stamped. */
export const Stamp = ({ state }: { state: Shown }) => (
  <Outline data-stamp $colour={colourOf(state)}>
    {stateWords(state)}
  </Outline>
);

/** Nobody looked at what must be looked at. */
export const NotJudgedStamp = () => (
  <Outline data-stamp $colour="var(--slate)">
    not judged
  </Outline>
);

/** Nobody may use it until somebody lifts that. */
export const StoodDownStamp = () => (
  <Outline data-stamp $colour="var(--ink)">
    stood down
  </Outline>
);

export const colourOf = (state: Shown): string => of(state, COLOURS);

/** A state's colour where it is drawn: what is fresh is drawn in ink. */
export const inkOf = (state: Shown): string => (isFine(state) ? 'var(--ink)' : colourOf(state));
