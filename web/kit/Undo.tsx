import { createContext, type ReactNode, useCallback, useContext, useEffect, useState } from 'react';
import styled, { keyframes } from 'styled-components';
import { QuietButton } from './Button';
import { now } from './clock';
import { PHONE } from './theme';

const SECONDS = 10;
/** Whoever waits longer than this for something to be taken back is told that it is under way, in milliseconds. */
const SOON = 1_500;

type Done = { id: number; text: string; undo?: () => Promise<unknown> };

const UndoContext = createContext<(text: string, undo?: () => Promise<unknown>) => void>(() => {});

/** Tells that something was written, and for ten seconds offers to take it back. */
export const useTell = () => useContext(UndoContext);

const running = keyframes`from { transform: scaleX(1); } to { transform: scaleX(0); }`;
const Strip = styled.div`
  position: fixed; z-index: 30; left: 50%; bottom: 22px; transform: translateX(-50%); width: max-content;
  max-width: min(720px, 94vw); overflow: hidden;
  background: var(--plate); color: var(--on-plate); border-radius: 3px; padding: 10px 20px; display: flex; gap: 24px;
  align-items: center;
  button { color: var(--on-plate); font-size: 17px; min-height: 44px; white-space: nowrap; }
  &::after { content: ''; position: absolute; left: 0; right: 0; bottom: 0; height: 3px; background: var(--hatch); transform-origin: left; animation: ${running} ${SECONDS}s linear forwards; }
  ${PHONE} { bottom: 76px; left: 8px; right: 8px; width: auto; max-width: none; transform: none; justify-content: space-between; }
  @media print { display: none; }
`;

export function UndoProvider({ children }: { children: ReactNode }) {
  const [done, setDone] = useState<Done | null>(null);
  const tell = useCallback(
    (text: string, undo?: () => Promise<unknown>) => setDone({ id: now().getTime(), text, undo }),
    [],
  );
  useEffect(() => {
    if (!done) return;
    const timer = setTimeout(() => setDone(null), SECONDS * 1000);
    return () => clearTimeout(timer);
  }, [done]);
  const takeBack = async () => {
    const undo = done?.undo?.();
    const late = setTimeout(
      () => tell('It may be with the yard already. It is taken back as soon as that answers.'),
      SOON,
    );
    try {
      await undo;
      tell('Taken back.');
    } catch (thrown) {
      tell(thrown instanceof Error ? thrown.message : 'That could not be taken back.');
    } finally {
      clearTimeout(late);
    }
  };
  return (
    <UndoContext.Provider value={tell}>
      {children}
      <div role="status" aria-live="polite">
        {done && (
          <Strip key={done.id}>
            <span>{done.text}</span>
            {done.undo && <QuietButton onPress={takeBack}>Undo</QuietButton>}
          </Strip>
        )}
      </div>
    </UndoContext.Provider>
  );
}
