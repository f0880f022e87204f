import { type ReactNode, Suspense, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Actions, MainButton } from './Button';
import { Dialog } from './Dialog';
import { WrongText } from './Field';

type Props = {
  children: ReactNode;
  /** How what opened is left; nothing where it is a part of the page itself. */
  onClose?: () => void;
};

/** What opens over a page and whose script may still be on its way, or be lost. The page stays. */
export function Opening({ children, onClose }: Props) {
  return (
    <ErrorBoundary fallback={<Lost onClose={onClose} />}>
      <Suspense fallback={null}>{children}</Suspense>
    </ErrorBoundary>
  );
}

const MISSING = 'A part of this program is missing here. What was noted is kept.';

function Lost({ onClose }: Pick<Props, 'onClose'>) {
  const [isLeft, leave] = useState(false);
  if (isLeft) return <WrongText>{MISSING}</WrongText>;
  return (
    <Dialog
      title="This did not arrive"
      isOpen
      onClose={() => {
        leave(true);
        onClose?.();
      }}
    >
      <p role="alert">{MISSING}</p>
      <Actions>
        <MainButton onPress={() => location.reload()}>Load the page again</MainButton>
      </Actions>
    </Dialog>
  );
}
