import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useRef, useState } from 'react';
import { Input } from 'react-aria-components';
import styled from 'styled-components';
import { answer, api, asksWhy, problemOf, type Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { PHONE } from '../kit/theme';
import { useSettled } from '../kit/useSettled';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { AskAgain } from '../trade/AskAgain';
import { LOG_LINE_KEY } from '../trade/keys';
import { useKeys } from '../trade/useKeys';

const Frame = styled.div`position: relative; width: 280px; ${PHONE} { width: auto; } @media print { display: none; }`;
const Box = styled(Input)`
  width: 100%; min-height: 42px; padding: 7px 40px 7px 12px; border: 2px solid var(--ink); border-radius: 3px;
  background: var(--sheet); font-weight: 500;
  ${PHONE} { min-height: 48px; }
`;
const KeyCap = styled.kbd`
  position: absolute; right: 10px; top: 9px; border: 1px solid var(--rule); border-radius: 3px; padding: 0 7px;
  font: inherit; font-size: 14px; color: var(--soft); pointer-events: none;
  ${PHONE} { display: none; }
`;
const Answer = styled.div`
  position: absolute; z-index: 15; right: 0; top: calc(100% + 6px); width: max(100%, 400px); max-width: 94vw;
  background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; padding: 12px 14px; font-size: 15px;
  display: flex; flex-direction: column; gap: 6px;
  ${PHONE} { width: 100%; max-width: none; }
`;
const Keys = styled.span`color: var(--soft);`;

const PAUSE = 180;
const NOTHING = '';

const inWords = ({ machine, in_words: words }: Schemas['Entry']): string => (machine ? `${machine}: ${words}` : words);

/** One field that logs hours, fluids, parts and the shelf. It says in words what Enter will do. */
export function LogLine() {
  const [text, setText, clear] = useDraft('log-line', NOTHING);
  const [reason, setReason] = useState('');
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  const settled = useSettled(text.trim(), PAUSE);
  const preview = useQuery({
    queryKey: ['log-line', settled],
    queryFn: () => answer(api.POST('/log-line/preview', { body: { text: settled } })),
    enabled: open && settled !== '',
    staleTime: 5_000,
    placeholderData: (before) => before,
  });
  const log = useNote(
    (entry, others) => `${[entry ?? [], others ?? []].flat().map(inWords).join('; ')} logged.`,
    () => {
      clear();
      setReason('');
      setOpen(false);
      box.current?.blur();
    },
  );
  const send = (because: string | null) =>
    log.tell({ kind: 'line', text: text.trim(), confirmed_because: because }, `“${text.trim()}”`);
  useKeys([LOG_LINE_KEY], () => box.current?.focus());
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      setOpen(false);
      box.current?.blur();
    }
    if (event.key === 'Enter' && text.trim() !== '' && !event.nativeEvent.isComposing) send(null);
  };
  const take = (line: string) => {
    setText(line);
    log.forget();
    box.current?.focus();
  };
  const asked = asksWhy(log.refused?.problem);
  return (
    <Frame onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && !asked && setOpen(false)}>
      <Box
        ref={box}
        aria-label="Log line: a machine and what its meter shows"
        aria-describedby="log-line-answer"
        placeholder="heron 412.6"
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="done"
        value={text}
        onFocus={() => setOpen(true)}
        onChange={(event) => {
          setText(event.target.value);
          setOpen(true);
          log.forget();
        }}
        onKeyDown={onKeyDown}
      />
      <KeyCap>{LOG_LINE_KEY.key}</KeyCap>
      {open && text.trim() !== '' && (
        <Answer id="log-line-answer" aria-live="polite">
          {asked && log.refused ? (
            <AskAgain
              refused={log.refused}
              typed={`"${text.trim()}"`}
              reason={reason}
              onReason={setReason}
              onSuggestion={(value) =>
                take(likelyLine(text, log.refused ? (problemOf(log.refused).typed ?? '') : '', value))
              }
              onConfirm={() => send(reason)}
            />
          ) : (
            <>
              <p>
                {log.refused
                  ? (Object.values(log.fields)[0] ?? log.refused.problem.detail)
                  : (preview.data?.sentence ?? 'Reading the line …')}
              </p>
              {preview.data?.suggestions.map((line) => (
                <QuietButton key={line} onPress={() => take(line)}>
                  {line}
                </QuietButton>
              ))}
              {preview.data?.understood && !log.refused && (
                <Keys>{preview.data.asks ? 'Enter asks why.' : 'Enter saves.'} Esc leaves it.</Keys>
              )}
            </>
          )}
        </Answer>
      )}
    </Frame>
  );
}

/** The line with the number that was asked about replaced by the one that was probably meant; what it gained becomes what it shows. */
function likelyLine(text: string, typed: string, value: string): string {
  return text.replace(typed, value);
}
