import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { machineQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Amount, Field, WrongText } from '../kit/Field';
import { instant } from '../kit/format';
import { Refusal } from '../kit/Refusal';
import { Soft } from '../kit/Sheet';
import { Slip } from '../kit/Slip';
import { AskAgain, asksAgain } from '../yard/AskAgain';
import { strikeEntry, useAfterWrite } from '../yard/useAfterWrite';

const Tasks = styled.ul`label { display: flex; gap: 12px; align-items: center; min-height: 44px; cursor: pointer; } input { width: 22px; height: 22px; accent-color: var(--hedge); }`;

type Correction = Schemas['Circumstances'] & {
  because: string;
  value?: string;
  hours?: string;
  distance?: string;
  rule_ids?: number[];
};

/** Strikes an entry, which stays readable, and writes what is right beside it. */
export function CorrectSlip({ entry, onClose }: { entry: Schemas['Entry']; onClose: () => void }) {
  const { told } = useAfterWrite();
  const correctable = entry.kind === 'reading' || entry.kind === 'service';
  const machine = useQuery({ ...machineQuery(entry.machine_id), enabled: entry.kind === 'service' });
  const [values, setValues] = useState(() => entry.readings.map(({ value }) => value));
  const [rules, setRules] = useState(() => entry.tasks.flatMap(({ rule_id }) => rule_id ?? []));
  const [because, setBecause] = useState('');
  const [reason, setReason] = useState('');
  const finish = async (text: string) => {
    onClose();
    await told(text);
  };
  const correct = useWrite(
    (header, body: Correction) => answer(api.POST('/entries/{entry}/correction', { params: { path: { entry: entry.id }, header }, body })),
    () => finish(`${entry.machine}: corrected.`),
  );
  const strike = useWrite(
    (_key, why: string) => strikeEntry(entry.id, why),
    () => finish(`${entry.machine}: entry struck.`),
  );
  const send = (given: string[], confirmed: string | null = null) => {
    const of = (kind: 'h' | 'distance') => given[entry.readings.findIndex(({ unit }) => (unit === 'h') === (kind === 'h'))];
    return correct.send({
      because,
      confirmed_because: confirmed,
      note: entry.note,
      ...(entry.kind === 'reading'
        ? { value: given[0] ?? '' }
        : { rule_ids: rules, ...(of('h') && { hours: of('h') }), ...(of('distance') && { distance: of('distance') }) }),
    });
  };
  const doubted = asksAgain(correct.refused) ? correct.refused : null;
  const errorOf = (unit: string | null) =>
    doubted ? undefined : correct.fields[entry.kind === 'reading' ? 'value' : unit === 'h' ? 'hours' : 'distance'];
  const toggle = (id: number) => setRules(rules.includes(id) ? rules.filter((one) => one !== id) : [...rules, id]);
  return (
    <Slip title={`${entry.machine}: correct an entry`} isOpen onClose={onClose}>
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
        <Tasks aria-label="What was done">
          {machine.data.rules.map((rule) => (
            <li key={rule.id}>
              <label>
                <input type="checkbox" checked={rules.includes(rule.id)} onChange={() => toggle(rule.id)} />
                {rule.task}
              </label>
            </li>
          ))}
        </Tasks>
      )}
      {correct.fields.rule_ids && <WrongText role="alert">{correct.fields.rule_ids}</WrongText>}
      {doubted && (
        <AskAgain
          refused={doubted}
          typed={doubted.problem.typed ?? values[0] ?? ''}
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
      <Refusal refused={doubted ? null : (correct.refused ?? strike.refused)} besides={['because', 'value', 'hours', 'distance', 'rule_ids']} />
      <Actions>
        {correctable && (
          <MainButton isDisabled={correct.busy} onPress={() => send(values)}>
            Strike it, write this beside it
          </MainButton>
        )}
        <PlainButton isDisabled={strike.busy} onPress={() => strike.send(because)}>
          Only strike it
        </PlainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Slip>
  );
}
