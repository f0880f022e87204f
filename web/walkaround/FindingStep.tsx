import { type RefObject, useState } from 'react';
import type { Schemas } from '../api/client';
import { longDay, sinceDay } from '../kit/format';
import { MainPress, Press, Presses, PressRow, Question } from '../kit/Hands';
import { Caution, Soft } from '../kit/Sheet';
import type { Answered } from '../offline/round';
import { Photos } from '../trade/PhotoPick';
import { Stamp } from '../trade/Stamp';
import { NotFine, type OnSay } from './NotFine';
import type { Step } from './roundSteps';
import { useDigits } from './useDigits';

type Props = {
  heading: RefObject<HTMLHeadingElement | null>;
  step: Extract<Step, { kind: 'finding' }>;
  today: string;
  /** Where no check tells the ways in which something is wrong. */
  usualDegrees: Schemas['Degree'][];
  answered?: Answered;
  onSay: OnSay;
};

/** What was found before is asked first: the same, otherwise, or gone. */
export function FindingStep({ heading, step, today, usualDegrees, answered, onSay }: Props) {
  const { finding, check } = step;
  const [otherwise, setOtherwise] = useState(false);
  const same = () =>
    onSay(
      {
        said: 'not_fine',
        verdict: finding.verdict,
        words: finding.why.slice(0, 200) || null,
      },
      `as before: ${finding.why || finding.note || finding.title}`,
    );
  const gone = () => onSay({ said: 'fine' }, 'gone');
  const notLooked = () => onSay({ said: 'not_looked' }, 'not looked at');
  useDigits(...(otherwise ? [] : [same, () => setOtherwise(true), notLooked, gone]));
  return (
    <>
      <Question style={{ flex: otherwise ? 'none' : 1 }}>
        <h2 ref={heading} tabIndex={-1}>
          {finding.title}, found before
        </h2>
        <div>
          <Stamp state={finding.verdict} />
        </div>
        <p>{finding.why || finding.note}</p>
        {finding.why && finding.note && <p>“{finding.note}”</p>}
        <Soft>
          {finding.by} saw it first on {longDay(finding.since)}
          {finding.seen > 1 &&
            `; seen ${finding.seen} times, last ${sinceDay(finding.last_seen, today)}, ${finding.course_in_words}`}
          .
        </Soft>
        {check?.place && <p>{check.place}.</p>}
        {check?.caution && <Caution>{check.caution}</Caution>}
        <Photos ids={finding.photos} of={finding.title} />
        {answered && <Soft>Told already: {answered.words}. What you say now stands for it.</Soft>}
      </Question>
      {otherwise ? (
        <NotFine degrees={check?.degrees ?? usualDegrees} onSay={onSay} onBack={() => setOtherwise(false)} />
      ) : (
        <Presses>
          <MainPress onPress={same}>
            Still as it was<sup aria-hidden="true">1</sup>
          </MainPress>
          <PressRow>
            <Press onPress={() => setOtherwise(true)}>
              Worse or better<sup aria-hidden="true">2</sup>
            </Press>
            <Press onPress={notLooked}>
              Not looked at<sup aria-hidden="true">3</sup>
            </Press>
          </PressRow>
          <Press onPress={gone}>
            Gone, fine now<sup aria-hidden="true">4</sup>
          </Press>
        </Presses>
      )}
    </>
  );
}
