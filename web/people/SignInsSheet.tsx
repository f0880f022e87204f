import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { signInsQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { QuietButton } from '../kit/Button';
import { instant } from '../kit/format';
import { Line, Margin, Ruled, Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { Refusal } from '../trade/Refusal';

const DEVICES: Record<string, string> = { phone: 'A phone', desk: 'A computer' };

/** The devices on which one is signed in. */
export function SignInsSheet() {
  const queries = useQueryClient();
  const signIns = useQuery(signInsQuery);
  const end = useWrite(
    (_key, signIn: number) => answer(api.DELETE('/sign-ins/{signIn}', { params: { path: { signIn } } })),
    () => queries.invalidateQueries({ queryKey: signInsQuery.queryKey }),
  );
  return (
    <Sheet aria-labelledby="sign-ins">
      <SheetHeading id="sign-ins">Where you are signed in</SheetHeading>
      {signIns.data?.data.map((one) => (
        <Ruled key={one.id}>
          <Line>
            {one.is_here ? 'This device' : (DEVICES[one.device ?? ''] ?? one.device ?? 'A device')}
            <Soft>Signed in {instant(one.signed_in_at, false)}.</Soft>
          </Line>
          <Margin>
            <Soft>{one.is_here ? 'You are here' : `Last seen ${instant(one.last_seen_at, false)}`}</Soft>
            {!one.is_here && (
              <QuietButton
                aria-label={`End it: signed in ${instant(one.signed_in_at, false)}`}
                onPress={() => end.send(one.id)}
              >
                End it
              </QuietButton>
            )}
          </Margin>
        </Ruled>
      ))}
      <Refusal refused={end.refused} besides={[]} />
    </Sheet>
  );
}
