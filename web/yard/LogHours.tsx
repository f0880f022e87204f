import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { DayField } from '../kit/DayField';
import { Amount, Choice, Field } from '../kit/Field';
import { metered, sinceDay } from '../kit/format';
import { Refusal } from '../kit/Refusal';
import { Slip } from '../kit/Slip';
import { useDraft } from '../kit/useDraft';
import { AskAgain, asksAgain } from './AskAgain';
import { useAfterWrite } from './useAfterWrite';

type Props = { line: Schemas['YardLine']; onClose: () => void };

type ReadingBody = {
  value: string;
  meter: 'hours' | 'distance';
  at: string | null;
  note: string | null;
  confirmed_because: string | null;
};

const NOTHING = { value: '', at: '', note: '', reason: '' };

/** Logs a reading of one machine, with its last reading and date beside the field. */
export function LogHours({ line, onClose }: Props) {
  const navigate = useNavigate();
  const { told } = useAfterWrite();
  const [draft, setDraft, clear] = useDraft(`reading.${line.id}`, NOTHING);
  const [meterId, setMeterId] = useState(line.meters[0]?.id);
  const meter = line.meters.find(({ id }) => id === meterId) ?? line.meters[0];
  const change = (part: Partial<typeof NOTHING>) => setDraft((before) => ({ ...before, ...part }));
  const log = useWrite(
    (header, body: ReadingBody) => answer(api.POST('/machines/{machine}/readings', { params: { path: { machine: line.id }, header }, body })),
    async ({ entry }) => {
      clear();
      onClose();
      await told(`${line.name}: ${entry.in_words} logged.${entry.doubt ? ` ${entry.doubt}` : ''}`, entry);
    },
  );
  if (!meter) return null;
  const send = (value: string, reason: string | null = null) =>
    log.send({
      value,
      meter: meter.unit === 'h' ? 'hours' : 'distance',
      at: draft.at || null,
      note: draft.note || null,
      confirmed_because: reason,
    });
  const last = meter.read_on ? `Last reading ${metered(meter.value, meter.unit)}, ${sinceDay(meter.read_on, line.rail.today)}.` : 'Not read yet.';
  return (
    <Slip title={`${line.name}: log ${meter.unit === 'h' ? 'hours' : 'distance'}`} isOpen onClose={onClose}>
      {line.meters.length > 1 && (
        <Choice
          label="Meter"
          value={String(meter.id)}
          onChange={(id) => setMeterId(Number(id))}
          options={line.meters.map(({ id, unit }) => ({
            value: String(id),
            label: unit === 'h' ? 'Hour meter' : `Odometer, ${unit}`,
          }))}
        />
      )}
      <Amount
        label="The meter shows"
        unit={meter.unit}
        value={draft.value}
        onChange={(value) => {
          change({ value });
          log.forget();
        }}
        step={meter.unit === 'h' ? '0.1' : '1'}
        from={meter.value}
        help={last}
        error={asksAgain(log.refused) ? undefined : log.fields.value}
        autoFocus
      />
      {asksAgain(log.refused) && (
        <AskAgain
          refused={log.refused}
          typed={log.refused.problem.typed ?? draft.value}
          reason={draft.reason}
          onReason={(reason) => change({ reason })}
          onSuggestion={(value) => {
            change({ value });
            send(value);
          }}
          onConfirm={() => send(draft.value, draft.reason)}
          onReplaceMeter={() => navigate(`/machines/${line.id}/meter`)}
        />
      )}
      <DayField today={line.rail.today} value={draft.at} onChange={(at) => change({ at })} error={log.fields.at} />
      <Field label="Note, if any" value={draft.note} onChange={(note) => change({ note })} error={log.fields.note} />
      <Refusal refused={asksAgain(log.refused) ? null : log.refused} besides={['value', 'at', 'note']} />
      <Actions>
        {!asksAgain(log.refused) && (
          <MainButton isDisabled={log.busy || draft.value.trim() === ''} onPress={() => send(draft.value)}>
            {draft.value.trim() === '' ? 'Log hours' : `Log ${draft.value.trim()} ${meter.unit}`}
          </MainButton>
        )}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Slip>
  );
}
