import styled from 'styled-components';

/** Heard and not seen. */
export const Unseen = styled.div`
  position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap;
`;
