import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { problemOf, type Schemas } from '../api/client';
import { machineQuery } from '../api/queries';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { instant } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { Ticks } from '../kit/Tick';
import { useNote } from '../notes/useNote';
import { Amount } from '../trade/Amount';
import { AskAgain, asksAgain } from '../trade/AskAgain';
import { Refusal } from '../trade/Refusal';

/** Strikes an entry, which stays readable, and writes what is right beside it. */
export function CorrectDialog({ entry, onClose }: { entry: Schemas['Entry']; onClose: () => void }) {
  const correctable = entry.kind === 'reading' || entry.kind === 'service';
  const machine = useQuery({ ...machineQuery(entry.machine_id ?? 0), enabled: entry.kind === 'service' });
  const [values, setValues] = useState(() => entry.readings.map(({ value }) => value));
  const [tasks, setTasks] = useState(() => entry.tasks.map(({ task_id }) => task_id));
  const [because, setBecause] = useState('');
  const [reason, setReason] = useState('');
  const of = { machine_id: entry.machine_id, entry: entry.id, because };
  const correct = useNote(() => `${entry.machine}: corrected.`, onClose);
  const strike = useNote(() => `${entry.machine ?? 'The yard'}: entry struck.`, onClose);
  const send = (given: string[], confirmed: string | null = null) => {
    const shown = (isHours: boolean) => given[entry.readings.findIndex(({ unit }) => (unit === 'h') === isHours)];
    return correct.tell(
      {
        kind: 'correction',
        ...of,
        machine_id: entry.machine_id ?? 0,
        confirmed_because: confirmed,
        ...(entry.kind === 'service' && { tasks }),
        ...(shown(true) && { hours: shown(true) }),
        ...(shown(false) && { distance: shown(false) }),
      },
      `${entry.machine}: ${entry.in_words}, corrected`,
    );
  };
  const doubted = asksAgain(correct.refused) ? correct.refused : null;
  const errorOf = (unit: string | null) => (doubted ? undefined : correct.fields[unit === 'h' ? 'hours' : 'distance']);
  return (
    <Dialog title={`${entry.machine}: correct an entry`} isOpen onClose={onClose}>
      <p>
        {entry.in_words}.{' '}
        <Soft>
          {instant(entry.happened_at, entry.day_only)}, {entry.by}. It stays readable, struck through.
        </Soft>
      </p>
      {correctable &&
        entry.readings.map((reading, index) => (
          <Amount
            key={reading.unit}
            label="The meter showed"
            unit={reading.unit ?? 'h'}
            value={values[index] ?? ''}
            from={reading.value}
            step={reading.unit === 'h' ? '0.1' : '1'}
            onChange={(value) => setValues(values.map((one, at) => (at === index ? value : one)))}
            error={errorOf(reading.unit)}
          />
        ))}
      {machine.data && (
        <Ticks
          label="What was done"
          value={tasks.map(String)}
          onChange={(ticked) => setTasks(ticked.map(Number))}
          options={machine.data.rules.map(({ task_id, task }) => ({ value: String(task_id), label: task }))}
          error={correct.fields.tasks}
        />
      )}
      {doubted && (
        <AskAgain
          refused={doubted}
          typed={problemOf(doubted).typed ?? values[0] ?? ''}
          reason={reason}
          onReason={setReason}
          onSuggestion={(value) => {
            setValues([value, ...values.slice(1)]);
            send([value, ...values.slice(1)]);
          }}
          onConfirm={() => send(values, reason)}
        />
      )}
      <Field
        label="Why it was wrong"
        value={because}
        onChange={setBecause}
        error={correct.fields.because ?? strike.fields.because}
        placeholder="Read off the wrong machine"
      />
      <Refusal
        refused={doubted ? null : (correct.refused ?? strike.refused)}
        besides={['because', 'hours', 'distance', 'tasks']}
      />
      <Actions>
        {correctable && (
          <MainButton isDisabled={correct.busy} onPress={() => send(values)}>
            Strike it, write this beside it
          </MainButton>
        )}
        <PlainButton
          isDisabled={strike.busy}
          onPress={() =>
            strike.tell({ kind: 'strike', ...of }, `${entry.machine ?? 'The yard'}: ${entry.in_words}, struck`)
          }
        >
          Only strike it
        </PlainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
