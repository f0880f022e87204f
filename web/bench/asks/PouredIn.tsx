import { useState } from 'react';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Soft } from '../../kit/Sheet';
import { readVolume, shownMl } from '../../offline/amounts';
import { Unreadable } from '../../offline/numbers';
import type { Step, Told } from '../told';

type Container = NonNullable<NonNullable<Step['asks']>['containers']>[number];
const NONE = '';

/** How much goes in: what is typed, or else what is proposed; and what is wrong with what is typed. */
export function amountOf(typed: string | null, proposed: number | null): { amount: number | null; wrong?: string } {
  if (typed === null) return { amount: proposed };
  if (typed.trim() === '') return { amount: null };
  try {
    return { amount: readVolume(typed) };
  } catch (thrown) {
    if (thrown instanceof Unreadable) return { amount: null, wrong: thrown.message };
    throw thrown;
  }
}

/** The container that is poured out of: the one used last, else the only one that is open. */
export function useContainer(containers: Container[], told: Told[]) {
  const last = told.findLast(({ did, said }) => did === 'poured' && said.container !== undefined)?.said.container;
  const usual = containers.some(({ id }) => id === last)
    ? Number(last)
    : containers.length === 1
      ? containers[0]?.id
      : undefined;
  const [chosen, choose] = useState<number | null | undefined>(undefined);
  return { chosen: chosen === undefined ? (usual ?? null) : chosen, choose };
}

type Props = {
  of: NonNullable<Step['asks']>;
  container: ReturnType<typeof useContainer>;
  /** Millilitres that are to come out of it. */
  pour: number;
};

/** Out of which container. */
function ContainerChoice({ of, container, pour }: Props) {
  const containers = of.containers ?? [];
  if (containers.length === 0)
    return <Soft>{of.takes ? `It takes ${of.takes}. ` : ''}No open container on the shelf will do by the book.</Soft>;
  const chosen = containers.find(({ id }) => id === container.chosen);
  return (
    <div>
      <Choice
        label="Out of"
        value={container.chosen === null ? NONE : `${container.chosen}`}
        onChange={(id) => container.choose(id === NONE ? null : Number(id))}
        options={[
          ...containers.map(({ id, name, size, left_ml: left, place }) => ({
            value: `${id}`,
            label: [`${name}, the open ${size}`, `${shownMl(left)} left`, place].filter(Boolean).join(', '),
          })),
          { value: NONE, label: 'another, not on the shelf' },
        ]}
      />
      {chosen && pour > chosen.left_ml && (
        <Soft>There is less in it by the book: {shownMl(chosen.left_ml)}. Have the next at hand.</Soft>
      )}
    </div>
  );
}

type PouredProps = Omit<Props, 'pour'> & {
  amount: number | null;
  wrong?: string;
  /** Null while the amount is the one that is proposed. */
  typed: string | null;
  onType: (typed: string) => void;
  /** Whether it is asked for, nothing being proposed. */
  isAsked: boolean;
};

/** What is poured, and out of which container. */
export function PouredIn({ of, container, amount, wrong, typed, onType, isAsked }: PouredProps) {
  return (
    <>
      <ContainerChoice of={of} container={container} pour={amount ?? 0} />
      {(typed !== null || isAsked) && (
        <Field label="Goes in" value={typed ?? ''} onChange={onType} placeholder="250 mL, 1/2 qt" error={wrong} />
      )}
    </>
  );
}
