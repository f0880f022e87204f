import { useState } from 'react';
import styled from 'styled-components';
import { asksWhy, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { byYard } from '../kit/clock';
import { Field, WrongText } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { instant } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { newId } from '../offline/note';
import { type Asked, hasRead, useAsked } from './asked';
import { type Kept, queue } from './queue';
import { useQueue } from './useQueue';

const Note = styled.article`
  display: flex; flex-direction: column; gap: 12px; padding-bottom: 20px; border-bottom: 1px solid var(--rule);
  h2 { font-size: 19px; }
  &:last-child { border-bottom: 0; }
`;

/** What the yard refused comes back to whoever typed it, with what they typed. */
export default function WaitingPage() {
  const { waiting, refused } = useQueue();
  const asked = useAsked();
  return (
    <FormSheet title="Notes that came back" lead={waiting > 0 ? `${waiting} more wait to be sent.` : undefined}>
      {asked.map((one) => (
        <AskedAbout key={one.id} asked={one} />
      ))}
      {refused.length === 0 && asked.length === 0 && <p>None. Everything else is sent as soon as there is signal.</p>}
      {refused.map((kept) => (
        <Refused key={kept.seq} kept={kept} />
      ))}
    </FormSheet>
  );
}

/** It is written down, and there is something to ask of it. */
function AskedAbout({ asked }: { asked: Asked }) {
  return (
    <Note aria-label={asked.label}>
      <h2>{asked.label}</h2>
      <p>{asked.asks.join(' ')}</p>
      <Soft>It is in the logbook, and the question with it. Answer it there, or correct what is wrong.</Soft>
      <Actions>
        <PlainButton onPress={() => hasRead(asked.id)}>I have read it</PlainButton>
      </Actions>
    </Note>
  );
}

/** What a person typed of a note, by its field. */
const TYPED: [string, string][] = [
  ['text', 'The line'],
  ['value', 'What the meter showed'],
  ['old_value', 'The old meter showed last'],
  ['new_value', 'The new meter shows'],
  ['run', 'Run in all'],
  ['hours', 'Hour meter'],
  ['distance', 'Odometer'],
  ['set', 'Reminder set to'],
  ['words', 'What was seen'],
  ['strokes', 'Strokes'],
  ['on', 'The day'],
  ['because', 'Why it was wrong'],
  ['note', 'Note'],
];

function Refused({ kept }: { kept: Kept }) {
  const problem = kept.problem;
  const note = kept.note as Schemas['Note'] & Record<string, unknown>;
  const [changed, setChanged] = useState<Record<string, unknown>>({});
  const [reason, setReason] = useState('');
  const errors = problem?.errors ?? {};
  const values = {
    ...(note.values as Record<string, string> | undefined),
    ...(changed.values as Record<string, string> | undefined),
  };
  const typed = TYPED.filter(([name]) => note[name] !== undefined && note[name] !== null);
  const shown = [...typed.map(([name]) => name), ...Object.keys(values)];
  const elsewhere = Object.entries(errors).filter(([name]) => !shown.includes(name));
  const again = () => {
    const strokes = changed.strokes === undefined ? {} : { strokes: Number(changed.strokes) };
    const put = { ...note, ...changed, ...strokes, id: newId(), confirmed_because: reason || note.confirmed_because };
    return queue.sendAgain(note.id, put as Schemas['Note']);
  };
  return (
    <Note aria-label={kept.label}>
      <h2>{kept.label}</h2>
      <Soft>Noted {instant(byYard(note.at).toISOString(), false)}</Soft>
      <WrongText role="alert">
        {[problem?.detail, ...elsewhere.map(([, messages]) => messages.join(' '))].join(' ')}
      </WrongText>
      {typed.map(([name, label]) => (
        <Field
          key={name}
          label={label}
          value={String(changed[name] ?? note[name] ?? '')}
          onChange={(value) => setChanged({ ...changed, [name]: value })}
          error={errors[name]?.join(' ')}
        />
      ))}
      {Object.entries(values).map(([name, value]) => (
        <Field
          key={name}
          label={name.replaceAll('_', ' ')}
          value={String(value)}
          onChange={(text) => setChanged({ ...changed, values: { ...values, [name]: text } })}
          error={errors[name]?.join(' ')}
        />
      ))}
      {asksWhy(problem) && (
        <Field label="Why it is right all the same (if it is)" value={reason} onChange={setReason} />
      )}
      <Actions>
        <MainButton onPress={again}>Send it like this</MainButton>
        <PlainButton onPress={() => queue.drop(kept.note.id)}>Throw this note away</PlainButton>
      </Actions>
    </Note>
  );
}
