import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Actions, MainButton } from './Button';
import { Dialog } from './Dialog';

/** What opens over a page and whose script may still be on its way, or be lost. The page stays. */
export function Opening({ children }: { children: ReactNode }) {
  return (
    <ErrorBoundary FallbackComponent={Lost}>
      <Suspense fallback={null}>{children}</Suspense>
    </ErrorBoundary>
  );
}

function Lost({ resetErrorBoundary }: FallbackProps) {
  return (
    <Dialog title="This did not arrive" isOpen onClose={resetErrorBoundary}>
      <p role="alert">A part of this program is missing here. What was noted is kept.</p>
      <Actions>
        <MainButton onPress={() => location.reload()}>Load the page again</MainButton>
      </Actions>
    </Dialog>
  );
}
