import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { Tick } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { pouredFrom, usePours } from '../trade/usePours';

export type Other = {
  spot: string;
  act: Schemas['ActKind'] | '';
  more: string;
  /** Which of the fluids that are kept went in. */
  fluid?: string;
  /** The old washer or ring was used again. */
  reused?: boolean;
};

const NOTHING: Other = { spot: '', act: '', more: '' };

const POURS: readonly string[] = ['topped_up', 'filled', 'changed'];
const SEALED: readonly string[] = ['closed', 'replaced'];

const Rows = styled.div`
  display: flex; flex-direction: column; gap: 14px; padding: 14px 20px; border-bottom: 1px solid var(--rule);
  h3 { font-size: 17px; }
  ${PHONE} { padding: 14px; }
`;
const Row = styled.div`
  display: grid; grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) minmax(0, 4fr) auto; gap: 12px;
  align-items: end; ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;

const MORE = { amount: 'How much', strokes: 'Strokes', part: 'Part number, if any' };

type Props = {
  spots: Schemas['Walk']['spots'];
  done: Other[];
  errors: Record<string, string>;
  onChange: (done: Other[]) => void;
};

/** What was done that no task of the rulebook asks for: where, what, and what more there is to say of it. */
export function OtherDone({ spots, done, errors, onChange }: Props) {
  const { choices } = usePours();
  const change = (index: number, part: Partial<Other>) =>
    onChange(done.map((one, at) => (at === index ? { ...one, ...part } : one)));
  return (
    <Rows>
      <h3>Anything else that was done</h3>
      {done.map((one, index) => {
        const acts = spots.find(({ key }) => key === one.spot)?.acts ?? [];
        const asks = acts.find(({ act }) => act === one.act)?.asks;
        const error = (name: string) => errors[`other.${index}.${name}`];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: rows are known by their place alone
          <Row key={index}>
            <Choice
              label="Where"
              value={one.spot}
              onChange={(spot) => change(index, { spot, act: '' })}
              options={[{ value: '', label: 'choose' }, ...spots.map(({ key, name }) => ({ value: key, label: name }))]}
              error={error('spot')}
            />
            <Choice
              label="What"
              value={one.act}
              onChange={(act) => change(index, { act })}
              options={[
                { value: '' as const, label: 'choose' },
                ...acts.map(({ act, label }) => ({ value: act, label })),
              ]}
              error={error('act')}
            />
            {asks ? (
              <Field
                label={MORE[asks]}
                value={one.more}
                onChange={(more) => change(index, { more })}
                placeholder={asks === 'amount' ? '0.3 qt' : undefined}
                error={error(asks === 'part' ? 'number' : asks)}
              />
            ) : (
              <span />
            )}
            {POURS.includes(one.act) && (
              <Choice
                label="Of what"
                value={one.fluid ?? ''}
                onChange={(fluid) => change(index, { fluid })}
                options={choices}
                error={error('fluid') ?? error('container')}
              />
            )}
            {SEALED.includes(one.act) && (
              <Tick checked={one.reused ?? false} onChange={(reused) => change(index, { reused })}>
                Old seal used again
              </Tick>
            )}
            <QuietButton
              aria-label={`Leave out what was done in row ${index + 1}`}
              onPress={() => onChange(done.filter((_, at) => at !== index))}
            >
              Leave it out
            </QuietButton>
          </Row>
        );
      })}
      <QuietButton onPress={() => onChange([...done, NOTHING])}>
        {done.length === 0 ? 'Tell of something that has no rule' : 'One more'}
      </QuietButton>
    </Rows>
  );
}

/** As it is told. */
export function toldOthers(
  done: Other[],
  spots: Schemas['Walk']['spots'],
): NonNullable<Schemas['ServiceDone']['other']> {
  return done.map(({ spot, act, more, fluid, reused }) => {
    const asks = spots.find(({ key }) => key === spot)?.acts.find((one) => one.act === act)?.asks;
    const said = more.trim();
    return {
      spot,
      act: act as Schemas['ActKind'],
      ...(asks === 'amount' && said && { amount: said }),
      ...(asks === 'strokes' && said && { strokes: Number(said) }),
      ...(asks === 'part' && said && { number: said }),
      ...(POURS.includes(act) && fluid && pouredFrom(fluid)),
      ...(SEALED.includes(act) && reused && { reused }),
    };
  });
}
