import styled from 'styled-components';

/** Labels with a code each, to be printed. */
export const Labels = styled.ul`
  display: grid; grid-template-columns: repeat(auto-fill, 290px); gap: 18px;
  li { display: grid; grid-template-columns: 118px 1fr; gap: 14px; align-items: center; border: 2px solid #1F2A24; border-radius: 3px; padding: 12px; background: #FFFFFF; color: #1F2A24; break-inside: avoid; }
  img { width: 118px; height: 118px; display: block; }
  strong { font: 600 21px/1.15 var(--slab); display: block; overflow-wrap: anywhere; }
  small { display: block; margin-top: 4px; }
  @media print { gap: 8mm; }
`;

export const OnScreen = styled.div`@media print { display: none; }`;
