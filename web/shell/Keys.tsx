import styled from 'styled-components';
import { PlainButton } from '../kit/Button';
import { Slip } from '../kit/Slip';

const KEYS = [
  ['1', 'Yard'],
  ['6', 'Logbook'],
  ['7', 'Reckoner'],
  ['/', 'Log line: write a machine and its hours, Enter saves'],
  ['← →', 'Walk the stakes of a rail'],
  ['Enter', 'Open what falls due at a stake'],
  ['Esc', 'Leave a slip'],
  ['?', 'This list'],
] as const;

const List = styled.dl`
  display: grid; grid-template-columns: auto 1fr; gap: 10px 18px; align-items: baseline;
  kbd { border: 1px solid var(--line); border-radius: 3px; padding: 1px 9px; font: inherit; }
`;

export function Keys({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Slip title="Keys" isOpen={isOpen} onClose={onClose}>
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
    </Slip>
  );
}
