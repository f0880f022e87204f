import { Button as AriaButton } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { PHONE } from './theme';

const base = css`
  min-height: 44px; padding: 8px 18px; border-radius: 3px; cursor: pointer; font-weight: 600; text-align: center;
  &[data-disabled] { background: none; color: var(--soft); border: 2px dashed var(--line); cursor: default; }
  ${PHONE} { min-height: 52px; }
`;

/** What saves or goes on. Its words say what happens. */
export const MainButton = styled(AriaButton)`
  ${base} background: var(--hedge); color: var(--on-hedge); border: 2px solid var(--hedge);
  &[data-hovered] { filter: brightness(1.12); }
`;

export const PlainButton = styled(AriaButton)`
  ${base} background: var(--sheet); color: var(--ink); border: 2px solid var(--ink);
  &[data-hovered] { background: var(--paper); }
`;

const quiet = css`
  background: none; border: 0; padding: 4px 0; margin: 0; min-height: 30px; color: var(--hedge); font-size: 15px;
  font-weight: 600; line-height: 1.25;
  text-decoration: underline; text-decoration-thickness: 1px; text-underline-offset: 4px; cursor: pointer;
  text-align: left;
  &:hover { text-decoration-thickness: 2px; }
  ${PHONE} { min-height: 48px; display: inline-flex; align-items: center; }
`;

/** An action within a sheet: words with a line under them. */
export const QuietButton = styled(AriaButton)`${quiet}`;

export const quietLink = quiet;

export const Actions = styled.div`
  display: flex; flex-wrap: wrap; gap: 12px; align-items: center; ${PHONE} { > button { flex: 1 1 auto; } }
`;

export const QuietActions = styled.div`
  display: flex; flex-wrap: wrap; column-gap: 18px; row-gap: 2px; align-items: baseline;
  @media print { display: none; }
`;
