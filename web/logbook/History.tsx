import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { entriesQuery } from '../api/queries';
import { PlainButton, QuietButton } from '../kit/Button';
import { instant } from '../kit/format';
import { ReadingInSheet } from '../kit/Reading';
import { Empty, Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ENTRY_WORDS } from '../kit/words';
import { CorrectDialog } from './CorrectDialog';

const Entry = styled.div`
  display: grid; grid-template-columns: 200px 108px minmax(0, 1fr); gap: 2px 16px; align-items: baseline;
  overflow-wrap: anywhere;
  &[data-struck='true'] > p { text-decoration: line-through; text-decoration-thickness: 1.5px; color: var(--soft); }
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; > p { grid-column: 1 / -1; } }
`;
const Signed = styled.div`
  display: flex; flex-wrap: wrap; gap: 2px 18px; justify-content: space-between; align-items: center;
`;
const Kind = styled.strong`font-weight: 650; font-size: 15px;`;

/** Entries newest first, of one machine or of the whole yard. Struck ones stay readable, what stands for them beside them. */
export function History({ machine }: { machine: number | null }) {
  const entries = useInfiniteQuery(entriesQuery(machine));
  const [correcting, setCorrecting] = useState<Schemas['Entry'] | null>(null);
  if (!entries.data) return <ReadingInSheet error={entries.error} />;
  const list = entries.data.pages.flatMap((page) => page.data);
  if (list.length === 0) return <Empty>Nothing is written down yet.</Empty>;
  return (
    <>
      {list.map((entry) => (
        <Ruled key={entry.id}>
          <Line>
            <Entry data-struck={entry.struck !== null}>
              <Soft>{instant(entry.happened_at, entry.day_only)}</Soft>
              <Kind>{ENTRY_WORDS[entry.kind]}</Kind>
              <p>
                {machine === null && <Link to={`/machines/${entry.machine_id}`}>{entry.machine}</Link>}
                {machine === null && ': '}
                {entry.in_words}
                {entry.note && entry.kind !== 'service' ? `. ${entry.note}` : ''}
              </p>
            </Entry>
          </Line>
          <Margin>
            <Signed>
              <Soft>
                {entry.by ?? 'Nobody named'}
                {typedDiffers(entry) && `, wrote "${entry.readings[0]?.typed}"`}
              </Soft>
              {entry.may_strike && (
                <QuietButton aria-label={`Correct: ${entry.in_words}`} onPress={() => setCorrecting(entry)}>
                  Correct
                </QuietButton>
              )}
            </Signed>
            {entry.kind === 'service' && entry.note && <p>{entry.note}</p>}
            {entry.confirmed_because && <p>Confirmed: {entry.confirmed_because}</p>}
            {entry.corrects_id && <p>Stands for a struck entry.</p>}
            {entry.struck && (
              <p>
                Struck by {entry.struck.by}, {instant(entry.struck.at, false)}: {entry.struck.because}
              </p>
            )}
          </Margin>
        </Ruled>
      ))}
      {entries.hasNextPage && (
        <Empty>
          <PlainButton isDisabled={entries.isFetchingNextPage} onPress={() => entries.fetchNextPage()}>
            Show earlier entries
          </PlainButton>
        </Empty>
      )}
      {correcting && <CorrectDialog entry={correcting} onClose={() => setCorrecting(null)} />}
    </>
  );
}

function typedDiffers(entry: Schemas['Entry']): boolean {
  const reading = entry.readings[0];
  return entry.kind === 'reading' && reading?.typed != null && Number(reading.typed) !== Number(reading.value);
}
