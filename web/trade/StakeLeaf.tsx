import { Dialog, Popover } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { dayAndMonth, longDay } from '../kit/format';
import type { RailMark } from './railLayout';
import { stakeTitle, stakeWords } from './stakeWords';
import { KIND_WORDS } from './words';

const Leaf = styled(Popover)`
  background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; max-width: min(380px, 92vw);
  overflow: auto;
`;
const Inside = styled(Dialog)`
  padding: 12px 16px 8px; outline: none; font-size: 15px; display: flex; flex-direction: column; gap: 14px;
  section { display: flex; flex-direction: column; gap: 8px; }
  section + section { border-top: 2px solid var(--ink); padding-top: 12px; }
  h3 { font-size: 17px; } li { padding: 3px 0; border-top: 1px solid var(--rule); }
`;

type Props = {
  mark: RailMark;
  rail: Schemas['Rail'];
  onRecord?: (ruleIds: number[]) => void;
  /** To be led through it, step by step. */
  onLead?: (ruleIds: number[]) => void;
};

/** What falls due at a mark, stake by stake. */
export function StakeLeaf({ mark, rail, onRecord, onLead }: Props) {
  return (
    <Leaf>
      <Inside aria-label={mark.stakes.map(({ stake }) => stakeWords(stake, rail)).join('; ')}>
        {({ close }) =>
          mark.stakes.map(({ stake }) => (
            <section key={`${stake.at} ${stake.by_date}`}>
              <h3>{stakeTitle(stake, rail)}</h3>
              {stake.when && stake.when.p10 !== stake.when.p90 && (
                <p>
                  Eight times in ten between {dayAndMonth(stake.when.p10)} and {longDay(stake.when.p90)}.
                </p>
              )}
              <ul>
                {stake.tasks.map((task) => (
                  <li key={task.rule_id}>
                    {task.task}, {KIND_WORDS[task.kind]}
                  </li>
                ))}
              </ul>
              {[
                { does: onLead, words: 'Do it at the bench' },
                { does: onRecord, words: 'Record it done' },
              ].map(
                ({ does, words }) =>
                  does && (
                    <QuietButton
                      key={words}
                      onPress={() => {
                        close();
                        does(stake.tasks.flatMap((task) => task.rule_id ?? []));
                      }}
                    >
                      {words}
                    </QuietButton>
                  ),
              )}
            </section>
          ))
        }
      </Inside>
    </Leaf>
  );
}
