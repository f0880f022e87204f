import styled from 'styled-components';
import { PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { KEY_GROUPS } from '../trade/keys';

const Where = styled.h3`font: 650 15px/1.3 var(--body); color: var(--soft);`;
const List = styled.dl`
  display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 8px 18px; padding-top: 6px;
  > div { display: grid; grid-template-columns: 58px minmax(0, 1fr); align-items: baseline; }
  kbd { border: 1px solid var(--line); border-radius: 3px; padding: 1px 9px; font: inherit; }
`;

export default function Keys({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog title="Keys" isOpen={isOpen} onClose={onClose}>
      {KEY_GROUPS.map(({ where, keys }) => (
        <section key={where} aria-label={where}>
          <Where>{where}</Where>
          <List>
            {keys.map(({ key, does }) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </List>
        </section>
      ))}
      <PlainButton onPress={onClose}>Close</PlainButton>
    </Dialog>
  );
}
