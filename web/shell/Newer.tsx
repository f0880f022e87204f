import { useRegisterSW } from 'virtual:pwa-register/react';
import styled from 'styled-components';
import { QuietButton } from '../kit/Button';

const Strip = styled.div`
  display: flex; justify-content: center; gap: 16px; align-items: center; padding: 4px 16px; background: var(--sheet);
  border-bottom: 1px solid var(--rule); font-size: 15px;
  @media print { display: none; }
`;

/** Keeps the application on the device. A newer one waits until somebody takes it up, so that nothing is reloaded under their hands. */
export function Newer() {
  const {
    needRefresh: [isNewer],
    updateServiceWorker,
  } = useRegisterSW({ immediate: true });
  if (!isNewer) return null;
  return (
    <Strip role="status">
      A newer version of this program is here.
      <QuietButton onPress={() => updateServiceWorker(true)}>Load it now</QuietButton>
    </Strip>
  );
}
