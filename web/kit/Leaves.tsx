import styled from 'styled-components';
import { PHONE } from './theme';

/** What is known of one thing lies on a few leaves, each with its own address. */
export const Leaves = styled.nav`
  display: flex; gap: 4px; border-bottom: 2px solid var(--ink); overflow-x: auto;
  a { padding: 9px 22px 10px; text-decoration: none; border: 2px solid transparent; border-bottom: 0; border-radius: 3px 3px 0 0; white-space: nowrap; margin-bottom: -2px; }
  a.active { border-color: var(--ink); background: var(--sheet); font-weight: 700; padding-bottom: 12px; }
  ${PHONE} { margin: 0 -14px; padding: 0 8px; gap: 0; a { padding: 13px 12px; flex: 1; text-align: center; } a.active { padding-bottom: 15px; } }
  @media print { display: none; }
`;

export const Leaf = styled.section`
  background: var(--sheet); border: 1px solid var(--rule); border-top: 0; ${PHONE} { margin: 0 -14px; border-width: 0 0 1px; }
`;
