import styled from 'styled-components';
import type { Answered } from '../offline/round';
import { isFine } from '../offline/states';
import { inkOf } from '../trade/Stamp';
import { stateWords } from '../trade/words';

const Row = styled.ol`display: flex; gap: 3px; padding: 12px 0 0;`;
const Mark = styled.li<{ $fill: string; $hatched: boolean; $here: boolean }>`
  flex: 1; height: ${({ $here }) => ($here ? 13 : 7)}px; align-self: center; border-radius: 1px; max-width: 34px;
  background: ${({ $fill, $hatched }) => ($hatched ? `repeating-linear-gradient(-45deg, ${$fill} 0 3px, transparent 3px 5px)` : $fill)};
  ${({ $here }) => $here && 'outline: 2px solid var(--ink); outline-offset: -2px; background: var(--sheet);'}
`;

type Props = { steps: { key: string; title: string }[]; answers: Record<string, Answered>; here: string };

/** The round as a row of marks: what was fit, what was not, where one stands. */
export function RoundProgress({ steps, answers, here }: Props) {
  const done = steps.filter(({ key }) => answers[key]).length;
  return (
    <Row aria-label={`${done} of ${steps.length} done`}>
      {steps.map(({ key, title }) => {
        const answer = answers[key];
        const verdict = answer?.verdict;
        return (
          <Mark
            key={key}
            aria-label={`${title}: ${answer ? (verdict ? stateWords(verdict) : 'told') : 'to come'}`}
            aria-current={key === here ? 'step' : undefined}
            $here={key === here}
            $hatched={answer !== undefined && !isFine(verdict) && answer.said !== 'read'}
            $fill={answer ? (verdict ? inkOf(verdict) : 'var(--ink)') : 'var(--rule)'}
          />
        );
      })}
    </Row>
  );
}
