import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { allMachinesQuery, walkQuery } from '../api/queries';
import { Actions, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import type { Told } from '../notes/told';
import { useNote } from '../notes/useNote';
import { Refusal } from '../trade/Refusal';
import type { Into, Values } from './calculator';

type Props = { into: Into; answer: Record<string, unknown>; values: Values };

const NOBODY = '';

/** Puts what was reckoned into the book of a machine, where its own limits judge it. */
export function IntoBook({ into, answer, values }: Props) {
  const machines = useQuery(allMachinesQuery()).data ?? [];
  const [machine, setMachine] = useState(NOBODY);
  const [check, setCheck] = useState(NOBODY);
  const walk = useQuery({
    ...walkQuery(Number(machine)),
    enabled: machine !== NOBODY && into.note === 'measured',
  });
  const checks = (walk.data?.checks ?? []).filter(
    ({ measurement }) => into.note === 'measured' && measurement === into.measurement,
  );
  const chosen = checks.find(({ key }) => key === check) ?? checks[0];
  const name = machines.find(({ id }) => `${id}` === machine)?.name ?? '';
  const write = useNote(
    () => `${name}: ${into.words} put into the book.`,
    () => setMachine(NOBODY),
  );
  const told = toldOf(into, Number(machine), answer, values, chosen);
  return (
    <>
      <Choice
        label="Put it into the book of"
        value={machine}
        onChange={setMachine}
        options={[
          { value: NOBODY, label: 'no machine' },
          ...machines.map(({ id, name: called }) => ({ value: `${id}`, label: called })),
        ]}
      />
      {checks.length > 1 && (
        <Choice
          label="as"
          value={chosen?.key ?? NOBODY}
          onChange={setCheck}
          options={checks.map(({ key, title }) => ({ value: key, label: title }))}
        />
      )}
      {machine !== NOBODY && walk.data && checks.length === 0 && <p>{name} has no check of that kind.</p>}
      <Refusal refused={write.refused} />
      {machine !== NOBODY && told && (
        <Actions>
          <PlainButton isDisabled={write.busy} onPress={() => write.tell(told, `${name}: ${into.words}`)}>
            {`Write ${into.words} down for ${name}`}
          </PlainButton>
        </Actions>
      )}
    </>
  );
}

function toldOf(
  into: Into,
  machine: number,
  answer: Record<string, unknown>,
  values: Values,
  check: Schemas['Check'] | undefined,
): Told | null {
  if (into.note === 'reminder') return { kind: 'reminder', machine_id: machine, set: String(answer[into.from]) };
  if (into.note === 'reading') {
    const next = values[into.from] as Values;
    return { kind: 'reading', machine_id: machine, value: `${next.value}`, on: `${next.at}` || null };
  }
  if (!check) return null;
  const measured = Object.fromEntries(
    into.values.flatMap((name) =>
      typeof values[name] === 'string' && values[name] !== '' ? [[name, values[name]]] : [],
    ),
  );
  return { kind: 'look', machine_id: machine, check: check.key, said: 'measured', values: measured };
}
