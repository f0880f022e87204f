import { useState } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import type { Scheme } from '../kit/theme';
import { chooseScheme, chosenScheme } from './scheme';

const WORDS: Record<Scheme, string> = {
  auto: 'As this device is set',
  paper: 'Paper, by day',
  shed: 'Shed, for the dark',
  sun: 'Sun, for glare on the glass',
};

const Choices = styled(RadioGroup)`
  display: flex; flex-direction: column;
  .react-aria-Radio { padding: 13px 14px; border-bottom: 1px solid var(--rule); cursor: pointer; }
  .react-aria-Radio[data-selected] { font-weight: 700; box-shadow: inset 5px 0 var(--hedge); background: var(--sheet); }
  .react-aria-Radio[data-focus-visible] { outline: 3px solid var(--slate); }
`;

export default function SchemeChoice({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const [scheme, setScheme] = useState(chosenScheme);
  return (
    <Dialog title="Light and contrast" isOpen={isOpen} onClose={onClose}>
      <Choices
        aria-label="Light and contrast"
        value={scheme}
        onChange={(chosen) => {
          setScheme(chosen as Scheme);
          chooseScheme(chosen as Scheme);
        }}
      >
        {Object.entries(WORDS).map(([value, words]) => (
          <Radio key={value} value={value}>
            {words}
          </Radio>
        ))}
      </Choices>
      <PlainButton onPress={onClose}>Close</PlainButton>
    </Dialog>
  );
}
