import { type RefObject, useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import { MainPress, Press, Presses, PressRow, Question } from '../kit/Hands';
import { Caution, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import type { KeptNote } from '../offline/note';
import type { Answered } from '../offline/round';
import { limitsInWords } from '../trade/limitsInWords';
import { PhotoPick, PhotosTaken } from '../trade/PhotoPick';
import { Stamp } from '../trade/Stamp';
import { AskFields, type Entered, given } from './AskFields';
import { NotFine, type OnSay } from './NotFine';
import { useDigits } from './useDigits';
import { type Judged, useVerdict } from './useVerdict';

const Place = styled.p`&& { font-size: 16px; color: var(--soft); margin-top: -8px; }`;
const Fine = styled.p`border-left: 5px solid var(--hedge); padding: 2px 0 2px 12px;`;

type Props = {
  heading: RefObject<HTMLHeadingElement | null>;
  machine: number;
  check: Schemas['Check'];
  answered?: Answered;
  onSay: OnSay;
  /** What comes after it is told, as `next check`; nothing where it is looked at alone. */
  then?: string;
};

/** One check: what to look at, where, how, and what is fine. */
export function CheckStep({ heading, machine, check, answered, onSay, then = '' }: Props) {
  const [asking, setAsking] = useState<'look' | 'not_fine' | 'measure'>(
    check.measurement && check.measurement !== 'level' ? 'measure' : 'look',
  );
  return (
    <>
      <Question style={{ flex: asking === 'look' ? 1 : 'none' }}>
        <h2 ref={heading} tabIndex={-1}>
          {check.title}
        </h2>
        {check.place && <Place>{check.place}</Place>}
        <p>{check.how}</p>
        {check.fine && <Fine>Fine: {check.fine}</Fine>}
        {check.measurement !== 'level' && Object.keys(check.limits).length > 0 && <Soft>{limitsInWords(check)}</Soft>}
        {check.caution && <Caution>{check.caution}</Caution>}
        {answered && (
          <Soft>
            Told already: {answered.words || answered.said.replace('_', ' ')}. What you say now stands for it.
          </Soft>
        )}
      </Question>
      {asking === 'look' && (
        <Look
          onSay={onSay}
          onNotFine={() => setAsking(check.measurement ? 'measure' : 'not_fine')}
          level={check.measurement === 'level'}
        />
      )}
      {asking === 'not_fine' && <NotFine degrees={check.degrees} onSay={onSay} onBack={() => setAsking('look')} />}
      {asking === 'measure' && (
        <Measure machine={machine} check={check} before={answered?.values} onSay={onSay} then={then} />
      )}
    </>
  );
}

function Look({ onSay, onNotFine, level }: { onSay: OnSay; onNotFine: () => void; level: boolean }) {
  const fine = () => onSay({ said: 'fine' }, 'fine');
  const notLooked = () => onSay({ said: 'not_looked' }, 'not looked at');
  useDigits(fine, onNotFine, notLooked);
  return (
    <Presses>
      <MainPress onPress={fine}>
        {level ? 'Fine, between the marks' : 'Fine'}
        <sup aria-hidden="true">1</sup>
      </MainPress>
      <PressRow>
        <Press onPress={onNotFine}>
          {level ? 'Not fine, or topped up' : 'Not fine'}
          <sup aria-hidden="true">2</sup>
        </Press>
        <Press onPress={notLooked}>
          Not looked at<sup aria-hidden="true">3</sup>
        </Press>
      </PressRow>
    </Presses>
  );
}

function Measure({
  machine,
  check,
  before,
  onSay,
  then,
}: {
  machine: number;
  check: Schemas['Check'];
  before?: Entered;
  onSay: OnSay;
  then: string;
}) {
  const [values, setValues] = useState<Entered>(before ?? {});
  const [photos, setPhotos] = useState<KeptNote['photos']>([]);
  const [because, setBecause] = useState('');
  const { judged, outOfReach, missing, wrong, settled } = useVerdict(machine, check, values);
  const entered = Object.keys(given(values)).length > 0;
  const limitMissing = Object.entries(missing).filter(([name]) => name.startsWith('limits.'));
  // What measuring undoes is put back and ticked before it is written down.
  const undone = check.asks.filter(({ kind, optional, name }) => kind === 'flag' && !optional && values[name] !== true);
  const asks = judged?.asks ?? [];
  const isAnswered = asks.length === 0 || because.trim() !== '';
  const mayWrite = entered && (judged !== null || outOfReach) && undone.length === 0 && isAnswered;
  const write = () =>
    onSay(
      { said: 'measured', values: given(values), confirmed_because: asks.length > 0 ? because : null },
      judged ? judged.why : 'the verdict comes with the signal',
      judged?.verdict ?? null,
      photos,
    );
  const notLooked = () => onSay({ said: 'not_looked' }, 'not looked at');
  useDigits(mayWrite && settled ? write : undefined, undefined, notLooked);
  return (
    <form
      style={{ display: 'contents' }}
      onSubmit={(event) => {
        event.preventDefault();
        if (mayWrite && settled) write();
      }}
    >
      <Question style={{ paddingTop: 0 }}>
        <AskFields asks={check.asks} values={values} onChange={setValues} errors={wrong} />
        <div aria-live="polite">
          {judged && <VerdictTold judged={judged} />}
          {outOfReach && (
            <Soft>
              {judged
                ? 'No signal: the yard says the rest when this is sent.'
                : 'No signal: the verdict comes when this is sent. It is kept here until then.'}
            </Soft>
          )}
          {limitMissing.map(([name, message]) => (
            <Soft key={name}>{message}</Soft>
          ))}
        </div>
        {asks.length > 0 && <AskedFirst asks={asks} because={because} onBecause={setBecause} />}
        <PhotosTaken photos={photos} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </Question>
      <Presses>
        <MainPress isDisabled={!mayWrite || !settled} onPress={write}>
          {entered && undone[0]
            ? `First: ${within(undone[0].label)}`
            : !isAnswered
              ? 'First: why it is right'
              : entered && !settled
                ? 'One moment …'
                : [judged && !judged.usable ? 'Not a reading: note it' : 'Write it down', then]
                    .filter(Boolean)
                    .join(', ')}
        </MainPress>
        <PressRow>
          <PhotoPick onAdd={(photo) => setPhotos((taken) => [...taken, photo])} />
          <Press onPress={notLooked}>
            Not looked at<sup aria-hidden="true">3</sup>
          </Press>
        </PressRow>
      </Presses>
    </form>
  );
}

/** What can hardly be right is asked about before it is written down: brought into sight, for it comes while something above is typed. */
function AskedFirst({
  asks,
  because,
  onBecause,
}: {
  asks: string[];
  because: string;
  onBecause: (why: string) => void;
}) {
  const question = useRef<HTMLDivElement>(null);
  useEffect(() => question.current?.scrollIntoView({ block: 'center' }), []);
  return (
    <div ref={question}>
      {asks.map((each) => (
        <Caution key={each}>{each}</Caution>
      ))}
      <Field label="Why it is right" value={because} onChange={onBecause} />
    </div>
  );
}

const Verdict = styled.div`
  display: grid; grid-template-columns: auto 1fr; gap: 14px; align-items: start;
  p { font-size: 16px; line-height: 1.35; }
  p + p { margin-top: 6px; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); gap: 8px; > [data-stamp] { justify-self: start; } }
`;

function VerdictTold({ judged }: { judged: Judged }) {
  return (
    <Verdict>
      {judged.verdict ? <Stamp state={judged.verdict} /> : <span />}
      <div>
        <p>
          {judged.why} {judged.do}
        </p>
        {judged.limit && <Soft>{judged.limit}</Soft>}
      </div>
    </Verdict>
  );
}
