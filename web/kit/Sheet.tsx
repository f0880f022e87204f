import styled from 'styled-components';
import { PHONE } from './theme';

/** A place is one wide sheet with ruled lines and a margin. */
export const Page = styled.main`
  padding: 20px 32px 56px; max-width: 1480px; margin: 0 auto; ${PHONE} { padding: 14px 14px 120px; }
  @media print { padding: 0; }
`;

export const Sheet = styled.section`
  background: var(--sheet); border: 1px solid var(--rule);
  & + & { margin-top: 22px; }
  ${PHONE} { margin: 0 -14px; border-width: 1px 0; }
`;

/** A line of the sheet with its margin; on a phone the margin folds under the line. */
export const Ruled = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 396px; border-bottom: 1px solid var(--rule);
  &:last-child { border-bottom: 0; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
  @media (max-width: 1080px) { grid-template-columns: minmax(0, 1fr) 280px; ${PHONE} { grid-template-columns: minmax(0, 1fr); } }
`;

export const Line = styled.div`
  padding: 10px 20px; min-width: 0; display: flex; flex-direction: column; justify-content: center;
  ${PHONE} { padding: 12px 14px 4px; }
`;

/** Why: one plain sentence with its numbers. */
export const Margin = styled.div`
  padding: 9px 20px 7px 22px; font-size: 15px; line-height: 1.32;
  border-left: 1px solid color-mix(in srgb, var(--clay) 35%, transparent);
  display: flex; flex-direction: column; justify-content: center; gap: 2px;
  ${PHONE} { border-left: 0; padding: 2px 14px 10px; }
`;

export const SheetHeading = styled.h2`
  font-size: 20px; padding: 14px 20px 12px; border-bottom: 1px solid var(--rule); ${PHONE} { padding: 12px 14px; }
`;

export const Soft = styled.span`color: var(--soft); font-size: 15px;`;

/** Something that can hurt somebody. */
export const Caution = styled.p`
  border-left: 5px solid var(--clay); padding: 4px 0 4px 12px; font-size: 16px; line-height: 1.35;
  & + & { margin-top: 10px; }
`;

/** An empty place says what to do first. */
export const Empty = styled.div`
  padding: 40px 24px; display: flex; flex-direction: column; gap: 14px; align-items: flex-start; font-size: 18px;
`;

export const Title = styled.h1`font-size: 28px; ${PHONE} { font-size: 25px; }`;

export const Lead = styled.div`
  display: flex; flex-wrap: wrap; gap: 10px 26px; justify-content: space-between; align-items: baseline;
  padding-bottom: 16px;
`;
