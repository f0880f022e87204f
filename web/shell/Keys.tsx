import styled from 'styled-components';
import { PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { PLACES } from './places';

const KEYS = [
  ...PLACES.map(({ key, name }) => [key, name] as const),
  ['/', 'Log line: write a machine and its hours, Enter saves'],
  ['← →', 'Walk the stakes of a rail'],
  ['Enter', 'Open what falls due at a stake'],
  ['1 2 3', 'In a round: fine, not fine, pass over'],
  ['Esc', 'Leave what is open'],
  ['?', 'This list'],
];

const List = styled.dl`
  display: grid; grid-template-columns: auto 1fr; gap: 10px 18px; align-items: baseline;
  kbd { border: 1px solid var(--line); border-radius: 3px; padding: 1px 9px; font: inherit; }
`;

export function Keys({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog title="Keys" isOpen={isOpen} onClose={onClose}>
      <List>
        {KEYS.map(([key, does]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </List>
      <PlainButton onPress={onClose}>Close</PlainButton>
    </Dialog>
  );
}
