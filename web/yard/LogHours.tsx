import { useState } from 'react';
import { useNavigate } from 'react-router';
import { problemOf, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { DayField } from '../kit/DayField';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { metered, sinceDay } from '../kit/format';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { readMeter, wrongNumber } from '../offline/numbers';
import { Amount } from '../trade/Amount';
import { AskAgain, asksAgain } from '../trade/AskAgain';
import { Refusal } from '../trade/Refusal';

type Props = { line: Schemas['YardLine']; onClose: () => void };

const NOTHING = { value: '', at: '', note: '', reason: '' };

/** Logs a reading of one machine, with its last reading and date beside the field. */
export default function LogHours({ line, onClose }: Props) {
  const navigate = useNavigate();
  const [draft, setDraft, clear] = useDraft(`reading.${line.id}`, NOTHING);
  const [meterId, setMeterId] = useState(line.meters[0]?.id);
  const meter = line.meters.find(({ id }) => id === meterId) ?? line.meters[0];
  const change = (part: Partial<typeof NOTHING>) => setDraft((before) => ({ ...before, ...part }));
  const log = useNote(
    (entry) => `${line.name}: ${entry?.in_words} logged.`,
    () => {
      clear();
      onClose();
    },
  );
  if (!meter) return null;
  const wrong = wrongNumber(draft.value, readMeter);
  const send = (value: string, reason: string | null = null) =>
    log.tell(
      {
        kind: 'reading',
        machine_id: line.id,
        value,
        meter: meter.unit === 'h' ? 'hours' : 'distance',
        on: draft.at || null,
        note: draft.note || null,
        confirmed_because: reason,
      },
      `${line.name}: ${value} ${meter.unit}`,
    );
  const last = meter.read_on
    ? `Last reading ${metered(meter.value, meter.unit)}, ${sinceDay(meter.read_on, line.rail.today)}.`
    : 'Not read yet.';
  return (
    <Dialog title={`${line.name}: log ${meter.unit === 'h' ? 'hours' : 'distance'}`} isOpen onClose={onClose}>
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
        error={asksAgain(log.refused) ? undefined : (wrong ?? log.fields.value)}
        autoFocus
      />
      {asksAgain(log.refused) && (
        <AskAgain
          refused={log.refused}
          typed={problemOf(log.refused).typed ?? draft.value}
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
      <DayField today={line.rail.today} value={draft.at} onChange={(at) => change({ at })} error={log.fields.on} />
      <Field label="Note, if any" value={draft.note} onChange={(note) => change({ note })} error={log.fields.note} />
      <Refusal refused={asksAgain(log.refused) ? null : log.refused} besides={['value', 'on', 'note']} />
      <Actions>
        {!asksAgain(log.refused) && (
          <MainButton
            isDisabled={log.busy || draft.value.trim() === '' || wrong !== undefined}
            onPress={() => send(draft.value)}
          >
            {draft.value.trim() === '' || wrong ? 'Log hours' : `Log ${draft.value.trim()} ${meter.unit}`}
          </MainButton>
        )}
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
