import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { listed, sinceDay, within } from '../kit/format';
import { Sheet, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { AnswerDialog, type Asked } from '../logbook/AnswerDialog';
import { type NameOf, of } from '../offline/states';
import { Stamp, StoodDownStamp } from '../trade/Stamp';

const Columns = styled.div`
  display: grid; grid-template-columns: repeat(3, minmax(0, 1fr));
  > div { padding: 12px 20px 14px; border-left: 1px solid var(--rule); }
  > div:first-child { border-left: 0; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); > div { border-left: 0; border-top: 1px solid var(--rule); padding: 10px 14px; } > div:first-child { border-top: 0; } }
`;
const Questions = styled.div`
  padding: 12px 20px 14px; border-top: 1px solid var(--rule); border-left: 5px solid var(--straw);
  ${PHONE} { padding: 10px 14px; }
`;
const Heading = styled.h2`font-size: 17px; margin-bottom: 6px; font-family: var(--body); font-weight: 650;`;
const Lines = styled.ul`
  display: flex; flex-direction: column; gap: 3px; font-size: 15.5px; line-height: 1.35;
  li { overflow-wrap: anywhere; }
  a { display: inline-block; padding: 2px 0; text-underline-offset: 3px; text-decoration-thickness: 1px; }
  ${PHONE} { gap: 2px; a { display: inline-block; padding: 6px 0; } }
`;
const Small = styled.span`> * { font-size: 11px; padding: 0 5px; } margin-right: 8px; display: inline-block;`;

const SHOWN = 4;

/** The keeper's morning: who has walked what, what was found, what nobody has looked at. */
export function Morning({ of: data }: { of: Schemas['Morning'] }) {
  const [answering, setAnswering] = useState<Asked | null>(null);
  const navigate = useNavigate();
  const isQuiet = data.walked.length === 0 && data.open_findings === 0 && data.unlooked_count === 0;
  if (isQuiet && data.open_questions === 0) return null;
  return (
    <Sheet aria-label="This morning" style={{ marginBottom: 22 }}>
      <Columns>
        <div>
          <Heading>{walkedHeading(data)}</Heading>
          <Lines>
            {data.walked.slice(0, SHOWN).map((round) => (
              <li key={`${round.machine_id} ${round.kind}`}>
                {round.by.join(' and ') || 'Somebody'}:{' '}
                <Link to={`/machines/${round.machine_id}`}>{round.machine}</Link>, {walkedWords(round)}
              </li>
            ))}
            {data.walked.length > SHOWN && <li>and {data.walked.length - SHOWN} more</li>}
          </Lines>
        </div>
        <div>
          <Heading>
            {data.open_findings === 0
              ? 'Nothing open'
              : `${data.open_findings} ${data.open_findings === 1 ? 'finding' : 'findings'} open`}
          </Heading>
          <Lines>
            {data.stood_down.slice(0, SHOWN).map((machine) => (
              <li key={machine.machine_id}>
                <Small>
                  <StoodDownStamp />
                </Small>
                <Link to={`/machines/${machine.machine_id}`}>{machine.machine}</Link> <Soft>{machine.because}</Soft>
              </li>
            ))}
            {data.findings.slice(0, SHOWN).map((finding) => (
              <li key={`${finding.machine_id} ${finding.check}`}>
                <Small>
                  <Stamp state={finding.verdict} />
                </Small>
                <Link to={`/machines/${finding.machine_id}/findings/${finding.check}`}>
                  {finding.machine}: {within(finding.title)}
                </Link>{' '}
                <Soft>{finding.since === data.today ? 'new today' : openFor(sinceDay(finding.since, data.today))}</Soft>
              </li>
            ))}
            {data.open_findings > SHOWN && <li>and {data.open_findings - SHOWN} more</li>}
          </Lines>
        </div>
        <div>
          <Heading>
            {data.unlooked_count === 0 ? 'All were looked at today' : `${data.unlooked_count} not looked at today`}
          </Heading>
          <Lines>
            {data.unlooked.slice(0, SHOWN).map((machine) => (
              <li key={machine.machine_id}>
                <Link to={`/walkaround/${machine.machine_id}`}>{machine.machine}</Link>,{' '}
                {machine.days === null ? 'never' : `for ${machine.days} ${machine.days === 1 ? 'day' : 'days'}`}
              </li>
            ))}
            {data.unlooked_count > SHOWN && (
              <li>
                <Link to="/walkaround">and {data.unlooked_count - SHOWN} more</Link>
              </li>
            )}
          </Lines>
        </div>
      </Columns>
      {data.open_questions > 0 && (
        <Questions>
          <Heading>{data.open_questions === 1 ? 'One question open' : `${data.open_questions} questions open`}</Heading>
          <Lines>
            {data.questions.slice(0, SHOWN).map((asked) => (
              <li key={asked.id}>
                <Link to={`/machines/${asked.machine_id}`}>{asked.machine}</Link>: {asked.asks}{' '}
                <Soft>Told by {asked.by ?? 'nobody named'}.</Soft>{' '}
                <QuietButton aria-label={`Answer: ${asked.asks}`} onPress={() => setAnswering(asked)}>
                  Answer
                </QuietButton>
              </li>
            ))}
            {data.open_questions > SHOWN && (
              <li>
                <Link to="/logbook">and {data.open_questions - SHOWN} more in the logbook</Link>
              </li>
            )}
          </Lines>
        </Questions>
      )}
      {answering && (
        <AnswerDialog
          asked={answering}
          onClose={() => setAnswering(null)}
          onCorrect={() => navigate(`/machines/${answering.machine_id}/book`)}
        />
      )}
    </Sheet>
  );
}

/** `since Friday`, `for 9 days` */
const openFor = (since: string): string =>
  since.endsWith(' ago') ? `for ${since.replace(' ago', '')}` : `since ${since}`;

function walkedHeading(data: Schemas['Morning']): string {
  const machines = new Set(data.walked.map(({ machine_id }) => machine_id)).size;
  return machines === 0 ? 'Nobody has walked round yet today' : `${machines} walked today`;
}

/** Checks that are named, the others counted. */
const NAMED = 2;

const TOLD: Record<NameOf<Schemas['Verdict']>, string> = {
  fit: 'nothing wrong',
  watch: 'to watch',
  act: 'to act on',
  stand_down: 'stood down',
};

function walkedWords(round: Schemas['WalkedRound']): string {
  if (round.kind === 'grease') return 'greased';
  if (!round.ended) return `${round.looked_at} looked at, still walking`;
  if (round.verdict === null)
    return `${round.looked_at} looked at, not judged: ${listed(round.not_judged.map(within), NAMED)}`;
  return `${round.looked_at} looked at, ${of(round.verdict, TOLD)}`;
}
