import { WrongText } from '../kit/Field';
import type { Refused } from '../offline/refused';

/** What a refusal says where no field is at fault. */
export function Refusal({ refused, besides = [] }: { refused: Refused | null; besides?: string[] }) {
  if (!refused) return null;
  const elsewhere = Object.entries(refused.fields).filter(([field]) => !besides.includes(field));
  return (
    <WrongText role="alert">
      {Object.keys(refused.fields).length === 0
        ? refused.problem.detail
        : elsewhere.map(([, message]) => message).join(' ')}
    </WrongText>
  );
}
