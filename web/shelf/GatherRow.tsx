import { Button, Checkbox } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { quietLink } from '../kit/Button';
import { PHONE } from '../kit/theme';

const row = css`
  display: grid; grid-template-columns: 30px minmax(0, 1fr) auto; gap: 12px; align-items: center; padding: 8px 20px; min-height: 52px;
  border-bottom: 1px solid var(--rule); line-height: 1.28;
  small { display: block; color: var(--soft); font-size: 15px; }
  ${PHONE} { padding: 9px 14px; min-height: 60px; }
`;
const Ticked = styled(Checkbox)`
  ${row} cursor: pointer;
  &[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: -3px; }
  &[data-selected] > span > span { text-decoration: line-through; text-decoration-thickness: 1px; color: var(--soft); }
`;
const Plain = styled.div`${row} grid-template-columns: minmax(0, 1fr) auto auto;`;
const Box = styled.i<{ $got: boolean }>`
  width: 28px; height: 28px; border: 2px solid var(--ink); border-radius: 3px; display: grid; place-items: center; font-style: normal; font-weight: 700;
  ${({ $got }) => $got && 'background: var(--hedge); border-color: var(--hedge); color: var(--on-hedge);'}
`;
const Right = styled.strong<{ $lacking: boolean }>`
  font-weight: ${({ $lacking }) => ($lacking ? 700 : 500)}; ${({ $lacking }) => $lacking && 'color: var(--clay);'} white-space: nowrap;
`;
const Act = styled(Button)`${quietLink} @media print { display: none; }`;

type Props = {
  words: string;
  small: string;
  right?: string;
  /** What stands to the right is still to be bought. */
  lacking?: boolean;
  got?: boolean;
  onGather?: (got: boolean) => void;
  action?: { words: string; label: string; onPress: () => void };
};

/** One line of a list, for a thumb in a glove. */
export function GatherRow({ words, small, right, lacking = false, got = false, onGather, action }: Props) {
  const told = (
    <span>
      <span>{words}</span>
      {small && <small>{small}</small>}
    </span>
  );
  if (onGather === undefined)
    return (
      <Plain>
        {told}
        <Right $lacking={lacking}>{right}</Right>
        {action && (
          <Act aria-label={action.label} onPress={action.onPress}>
            {action.words}
          </Act>
        )}
      </Plain>
    );
  return (
    <Ticked isSelected={got} onChange={onGather} aria-label={words}>
      <Box $got={got} aria-hidden="true">
        {got && '✓'}
      </Box>
      {told}
      {right && <Right $lacking={lacking}>{right}</Right>}
    </Ticked>
  );
}
