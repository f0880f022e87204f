import styled from 'styled-components';
import { problemOf } from '../api/client';
import { MainButton, PlainButton } from '../kit/Button';
import { Field } from '../kit/Field';
import { count } from '../kit/format';
import type { Refused } from '../offline/refused';

const Question = styled.div`
  border: 2px solid var(--straw); border-radius: 3px; padding: 14px 16px; display: flex; flex-direction: column;
  gap: 12px; background: var(--sheet);
`;

type Props = {
  refused: Refused;
  typed: string;
  reason: string;
  onReason: (reason: string) => void;
  onSuggestion: (value: string) => void;
  onConfirm: () => void;
  onReplaceMeter?: () => void;
};

/** A reading that can hardly be right: take the likely one, say why it is right, or tell of a new meter. */
export function AskAgain({ refused, typed, reason, onReason, onSuggestion, onConfirm, onReplaceMeter }: Props) {
  const { detail, suggestions = [], kind } = problemOf(refused);
  return (
    <Question role="alert">
      <p>{detail}</p>
      {suggestions.map((suggestion) => (
        <MainButton key={suggestion} onPress={() => onSuggestion(suggestion)}>
          {suggestions.length === 1 ? 'Yes, log' : 'Log'} {count(Number(suggestion))}
        </MainButton>
      ))}
      {kind === 'lower' && onReplaceMeter && <PlainButton onPress={onReplaceMeter}>The meter was replaced</PlainButton>}
      {kind === 'rolled_over' && onReplaceMeter && (
        <PlainButton onPress={onReplaceMeter}>It began again, count on from there</PlainButton>
      )}
      <Field label={`Why ${typed} is right`} value={reason} onChange={onReason} placeholder="Ran through the storm" />
      <PlainButton isDisabled={reason.trim() === ''} onPress={onConfirm}>
        Log {typed} with this reason
      </PlainButton>
    </Question>
  );
}

export const asksAgain = (refused: Refused | null): refused is Refused =>
  refused?.problem.type === '/problems/implausible-reading';
