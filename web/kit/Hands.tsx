import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import { Link, type LinkProps } from 'react-router';
import styled, { css } from 'styled-components';
import { usePressGuard } from './presses';
import { PHONE } from './theme';

/** One thing at a time, for one hand in a glove: the question above, what can be pressed below within thumb reach. */
export const HandsPage = styled.main`
  max-width: 620px; margin: 0 auto; padding: 0 20px 40px; min-height: calc(100dvh - 90px); display: flex;
  flex-direction: column;
  ${PHONE} { padding: 0 16px calc(62px + env(safe-area-inset-bottom)); min-height: 100dvh; }
`;

export const HandsHead = styled.header`
  display: flex; justify-content: space-between; align-items: baseline; gap: 14px; padding: 18px 0 12px;
  border-bottom: 2px solid var(--ink); margin: 0 -16px; padding-left: 16px; padding-right: 16px;
  h1 { font-size: 22px; } span { color: var(--soft); font-size: 16px; text-align: right; }
`;

export const Question = styled.div`
  flex: 1; padding: 16px 0 14px; display: flex; flex-direction: column; gap: 12px;
  h2 { font-size: 26px; outline: none; }
  p { font-size: 17px; line-height: 1.38; }
`;

export const Presses = styled.div`
  display: flex; flex-direction: column; gap: 10px; position: sticky; bottom: 0; background: var(--paper);
  padding: 8px 0 12px;
  ${PHONE} { bottom: calc(56px + env(safe-area-inset-bottom)); }
`;
export const PressRow = styled.div`
  display: grid; grid-auto-flow: column; grid-auto-columns: minmax(0, 1fr); gap: 10px;
`;

const press = css`
  min-height: 64px; padding: 8px 12px; border-radius: 3px; border: 2px solid var(--ink); background: var(--sheet);
  color: var(--ink); font-weight: 650; font-size: 18px; line-height: 1.2; cursor: pointer; text-align: center;
  sup { font-size: 12px; font-weight: 450; color: inherit; margin-left: 6px; ${PHONE} { display: none; } }
  &[data-disabled] { color: var(--soft); border: 2px dashed var(--line); cursor: default; }
  [data-unseen] & { pointer-events: none; }
`;

/** A button that a hand in a glove cannot press by mistake: not before it was seen, and not twice. */
function GuardedButton({ onPress, onPressStart, ...props }: ButtonProps) {
  const { begin, end } = usePressGuard();
  return (
    <AriaButton
      {...props}
      onPressStart={(event) => {
        begin();
        onPressStart?.(event);
      }}
      onPress={(event) => end(() => onPress?.(event))}
    />
  );
}

/** What goes on. */
export const MainPress = styled(GuardedButton)`
  ${press} background: var(--hedge); color: var(--on-hedge); border-color: var(--hedge);
  &[data-disabled] { background: none; }
`;
export const Press = styled(GuardedButton)`${press}`;
/** A choice among several, with its words to the left. */
export const ChoicePress = styled(GuardedButton)<{
  $colour?: string;
}>`${press} text-align: left; display: flex; justify-content: space-between; align-items: center; gap: 12px; font-weight: 550; border-left: 8px solid ${({ $colour }) => $colour ?? 'var(--ink)'};`;

function GuardedLink(props: LinkProps) {
  const { begin, end } = usePressGuard();
  return (
    <Link
      {...props}
      onPointerDown={begin}
      onClick={(event) => {
        let isMeant = false;
        end(() => {
          isMeant = true;
        });
        if (!isMeant) event.preventDefault();
      }}
    />
  );
}

/** What goes on, to another page. */
export const OnwardLink = styled(GuardedLink)`
  ${press} display: flex; align-items: center; justify-content: center; background: var(--hedge);
  color: var(--on-hedge); border-color: var(--hedge); text-decoration: none;
`;

/** Not to be used: an ink plate with diagonal hatch. */
export const StoodDownPlate = styled.div`
  background: repeating-linear-gradient(-45deg, var(--plate) 0 9px, var(--plate-hatch) 9px 12px);
  color: var(--on-plate); padding: 4px; margin: 12px 0 0; border-radius: 3px;
  p { background: var(--plate); padding: 8px 12px; font-size: 16px; line-height: 1.35; }
`;
