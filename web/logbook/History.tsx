import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { useEntries } from '../api/queries';
import { PlainButton, QuietButton } from '../kit/Button';
import { instant, longDay } from '../kit/format';
import { Empty, Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ReadingInSheet } from '../trade/Reading';
import { ENTRY_WORDS } from '../trade/words';
import { AnswerDialog, type Asked } from './AnswerDialog';
import { CorrectDialog } from './CorrectDialog';
import { foldedByWeek, weekInWords } from './weeks';

const Entry = styled.div`
  display: grid; grid-template-columns: 200px 108px minmax(0, 1fr); gap: 2px 16px; align-items: baseline;
  overflow-wrap: anywhere;
  &[data-struck='true'] > p { text-decoration: line-through; text-decoration-thickness: 1.5px; color: var(--soft); }
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; > p { grid-column: 1 / -1; } }
`;
/** Who told it stands beside its first line, however much is asked below. */
const Said = styled(Line)`justify-content: start;`;
const By = styled(Margin)`justify-content: start;`;
const Signed = styled.div`
  display: flex; flex-wrap: wrap; gap: 2px 18px; justify-content: space-between; align-items: center;
`;
const Kind = styled.strong`font-weight: 650; font-size: 15px;`;

type Props = { machine: number | null };

/** Entries newest first, of one machine with its readings folded by week, or of the whole yard. Struck ones stay readable, what stands for them beside them. */
export function History({ machine }: Props) {
  const entries = useEntries(machine);
  const [correcting, setCorrecting] = useState<Schemas['Entry'] | null>(null);
  const [answering, setAnswering] = useState<{ asked: Asked; entry: Schemas['Entry'] } | null>(null);
  if (!entries.data) return <ReadingInSheet error={entries.error} />;
  const list = entries.data.pages.flatMap((page) => page.data);
  if (list.length === 0) return <Empty>Nothing is written down yet.</Empty>;
  const lines = machine === null ? list.map((entry) => ({ entry })) : foldedByWeek(list);
  return (
    <>
      {lines.map((line) =>
        'entry' in line ? (
          <EntryRow
            key={line.entry.id}
            entry={line.entry}
            named={machine === null}
            onCorrect={() => setCorrecting(line.entry)}
            onAnswer={(asked) => setAnswering({ asked, entry: line.entry })}
          />
        ) : (
          <WeekRow
            key={line.week}
            {...line}
            onCorrect={setCorrecting}
            onAnswer={(asked, entry) => setAnswering({ asked, entry })}
          />
        ),
      )}
      {entries.hasNextPage && (
        <Empty>
          <PlainButton isDisabled={entries.isFetchingNextPage} onPress={() => entries.fetchNextPage()}>
            Show earlier entries
          </PlainButton>
        </Empty>
      )}
      {correcting && <CorrectDialog entry={correcting} onClose={() => setCorrecting(null)} />}
      {answering && (
        <AnswerDialog
          asked={answering.asked}
          onClose={() => setAnswering(null)}
          onCorrect={
            answering.entry.may_strike
              ? () => {
                  setCorrecting(answering.entry);
                  setAnswering(null);
                }
              : undefined
          }
        />
      )}
    </>
  );
}

type RowProps = { entry: Schemas['Entry']; named: boolean; onCorrect: () => void; onAnswer: (asked: Asked) => void };

function EntryRow({ entry, named, onCorrect, onAnswer }: RowProps) {
  return (
    <Ruled>
      <Said>
        <Entry data-struck={entry.struck !== null}>
          <Soft>{instant(entry.happened_at, entry.day_only)}</Soft>
          <Kind>{ENTRY_WORDS[entry.kind]}</Kind>
          <p>
            {named && entry.machine_id !== null && <Link to={`/machines/${entry.machine_id}`}>{entry.machine}</Link>}
            {named && entry.machine_id === null && <Link to="/shelf">Shelf</Link>}
            {named && ': '}
            {entry.in_words}
            {entry.note && entry.kind !== 'service' ? `. ${entry.note}` : ''}
          </p>
        </Entry>
      </Said>
      <By>
        <Signed>
          <Soft>
            {entry.by ?? 'Nobody named'}
            {typedDiffers(entry) && `, wrote "${entry.readings[0]?.typed}"`}
          </Soft>
          {entry.may_strike && (
            <QuietButton aria-label={`Correct: ${entry.in_words}`} onPress={onCorrect}>
              Correct
            </QuietButton>
          )}
        </Signed>
        {entry.kind === 'service' && entry.note && <p>{entry.note}</p>}
        {entry.confirmed_because && <p>Confirmed: {entry.confirmed_because}</p>}
        {entry.struck === null &&
          entry.doubts.map((doubt) => (
            <Doubt
              key={doubt.id}
              doubt={doubt}
              onAnswer={() =>
                onAnswer({
                  ...doubt,
                  machine_id: entry.machine_id ?? 0,
                  machine: entry.machine ?? 'The yard',
                  in_words: entry.in_words,
                  by: entry.by,
                })
              }
            />
          ))}
        {entry.corrects_id && <p>Stands for a struck entry.</p>}
        {entry.struck && (
          <p>
            Struck by {entry.struck.by}, {instant(entry.struck.at, false)}: {entry.struck.because}
          </p>
        )}
      </By>
    </Ruled>
  );
}

const Ask = styled.div`
  display: flex; flex-wrap: wrap; align-items: baseline; gap: 0 10px;
  border-left: 5px solid var(--straw); padding-left: 10px; margin-top: 6px;
`;

/** What there is to ask of an entry, until somebody has answered. */
function Doubt({ doubt, onAnswer }: { doubt: Schemas['Doubt']; onAnswer: () => void }) {
  return doubt.answer === null ? (
    <Ask>
      <span>{doubt.asks}</span>
      <QuietButton onPress={onAnswer}>Answer</QuietButton>
    </Ask>
  ) : (
    <p>
      {doubt.asks} Right so, says {doubt.answer.by ?? 'nobody named'}: {doubt.answer.because}
    </p>
  );
}

type WeekProps = {
  week: string;
  readings: Schemas['Entry'][];
  onCorrect: (entry: Schemas['Entry']) => void;
  onAnswer: (asked: Asked, entry: Schemas['Entry']) => void;
};

/** The readings of one week as one line, each of them where somebody asks. */
function WeekRow({ week, readings, onCorrect, onAnswer }: WeekProps) {
  const [open, setOpen] = useState(false);
  const people = [...new Set(readings.map(({ by }) => by ?? 'nobody named'))];
  return (
    <>
      <Ruled>
        <Line>
          <Entry>
            <Soft>Week of {longDay(week)}</Soft>
            <Kind>{ENTRY_WORDS.reading}</Kind>
            <p>{weekInWords(readings)}</p>
          </Entry>
        </Line>
        <Margin>
          <Signed>
            <Soft>{people.join(', ')}</Soft>
            <QuietButton
              aria-expanded={open}
              aria-label={`${open ? 'Fold' : 'Show each'}: week of ${longDay(week)}`}
              onPress={() => setOpen(!open)}
            >
              {open ? 'Fold' : 'Show each'}
            </QuietButton>
          </Signed>
        </Margin>
      </Ruled>
      {open &&
        readings.map((entry) => (
          <EntryRow
            key={entry.id}
            entry={entry}
            named={false}
            onCorrect={() => onCorrect(entry)}
            onAnswer={(asked) => onAnswer(asked, entry)}
          />
        ))}
    </>
  );
}

function typedDiffers(entry: Schemas['Entry']): boolean {
  const reading = entry.readings[0];
  return entry.kind === 'reading' && reading?.typed != null && Number(reading.typed) !== Number(reading.value);
}
