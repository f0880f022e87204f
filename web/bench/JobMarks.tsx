import styled from 'styled-components';
import { isDone, type Progress, type StepState, stateOf } from '../offline/job';
import { type NameOf, of } from '../offline/states';
import type { Step } from './told';

const Row = styled.ol`display: flex; gap: 2px; padding: 12px 0 0;`;
const Mark = styled.li<{ $state: StepState; $here: boolean }>`
  flex: 1; min-width: 2px; height: ${({ $here }) => ($here ? 13 : 7)}px; align-self: center; border-radius: 1px;
  background: ${({ $state }) => of($state, FILLS)};
  ${({ $here }) => $here && 'outline: 2px solid var(--ink); outline-offset: -2px; background: var(--sheet); min-width: 9px;'}
`;
const hatched = (colour: string) => `repeating-linear-gradient(-45deg, ${colour} 0 3px, transparent 3px 5px)`;
const FILLS: Record<NameOf<StepState>, string> = {
  done: 'var(--ink)',
  failed: 'var(--clay)',
  barred: hatched('var(--clay)'),
  spared: hatched('var(--line)'),
  ready: 'var(--straw)',
  waiting: 'var(--rule)',
};

/** The words for what has become of a step. */
export const STATE_OF_STEP: Record<NameOf<StepState>, string> = {
  done: 'done',
  failed: 'could not be done',
  barred: 'cannot be done',
  spared: 'not called for',
  ready: 'can be done now',
  waiting: 'waits',
};

/** The job as a row of marks: what is done, what cannot be, what can be done now, where one stands. */
export function JobMarks({ steps, progress, here }: { steps: Step[]; progress: Progress; here?: string }) {
  const done = steps.filter(({ key }) => isDone(progress, key)).length;
  return (
    <Row aria-label={`${done} of ${steps.length} steps done`}>
      {steps.map(({ key, title }) => {
        const state = stateOf(progress, key);
        return (
          <Mark
            key={key}
            $state={state}
            $here={key === here}
            aria-label={`${title}: ${of(state, STATE_OF_STEP)}`}
            aria-current={key === here ? 'step' : undefined}
          />
        );
      })}
    </Row>
  );
}
