import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { yardQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { YARD } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { typedDecimal } from '../offline/numbers';
import { Refusal } from '../trade/Refusal';

const Wide = styled.div`overflow-x: auto; padding: 4px 20px 8px;`;
const Table = styled.table`
  border-collapse: collapse; font-size: 15px; min-width: 860px; width: 100%;
  th { text-align: left; font-weight: 600; padding: 6px 8px 6px 0; vertical-align: bottom; }
  td { padding: 3px 8px 3px 0; border-top: 1px solid var(--rule); text-align: left; }
  thead td { border-top: 0; }
  tbody th { border-top: 1px solid var(--rule); font-weight: 400; white-space: nowrap; }
  input { width: 62px; min-height: 36px; padding: 4px 6px; border: 1px solid var(--line); border-radius: 3px; background: var(--sheet); }
  input[data-invalid] { border: 2px solid var(--clay); } em { font-style: normal; font-weight: 650; }
`;
const Foot = styled.div`padding: 6px 20px 18px; display: flex; flex-direction: column; gap: 14px;`;

type Shares = Record<string, Record<string, string>>;

const NOTHING: Shares = {};

/** By what share a hard life shortens which intervals; the yard may set its own. */
export function SeveritySheet() {
  const yard = useQuery(yardQuery);
  const [changing, setChanging] = useState(false);
  if (!yard.data) return null;
  return (
    <Sheet aria-labelledby="severity">
      <SheetHeading id="severity">A hard life</SheetHeading>
      {changing ? (
        <SharesForm yard={yard.data} onClose={() => setChanging(false)} />
      ) : (
        <SharesTable yard={yard.data} onChange={() => setChanging(true)} />
      )}
    </Sheet>
  );
}

function SharesTable({ yard, onChange }: { yard: Schemas['Yard']; onChange: () => void }) {
  return (
    <>
      <Wide tabIndex={0} role="region" aria-label="Shares by severity">
        <Shares
          yard={yard}
          cell={({ share, usual }) => (share === '1' ? '' : share === usual ? share : <em>{share}</em>)}
        />
      </Wide>
      <Foot>
        <Soft>
          An interval is shortened to this share of itself on machines marked so; the hardest of several counts alone.
          Common practice, no source, but for what stands out, which is this yard's own. Light use shortens the months
          alone.
        </Soft>
        <div>
          <QuietButton onPress={onChange}>Change the shares</QuietButton>
        </div>
      </Foot>
    </>
  );
}

function SharesForm({ yard, onClose }: { yard: Schemas['Yard']; onClose: () => void }) {
  const { toldWith } = useAfterWrite(YARD);
  const [draft, setDraft, clear] = useDraft('severity', NOTHING);
  const before: Shares = Object.fromEntries(
    yard.severities.map(({ severity, shares }) => [severity, own(shares, (one) => one.share)]),
  );
  const after: Shares = Object.fromEntries(
    yard.severities.map(({ severity, shares }) => [
      severity,
      own(shares, (one) => typedDecimal(draft[severity]?.[one.subject] || one.share)),
    ]),
  );
  const patch = (version: number, severity: Shares) =>
    answer(api.PATCH('/yard', { params: { header: { 'If-Match': `"${version}"` } }, body: { severity } }));
  const save = useWrite(
    (_key, shares: Shares) => patch(yard.version, shares),
    async (changed) => {
      clear();
      onClose();
      await toldWith('The shares are changed.', () => patch(changed.version, before));
    },
  );
  const wrong = (severity: string, subject: string) => save.fields[`severity.${severity}.${subject}`];
  return (
    <>
      <Wide tabIndex={0} role="region" aria-label="Shares by severity">
        <Shares
          yard={yard}
          cell={({ subject, share, label }, severity) => (
            <TextField
              aria-label={`${severity.label}: ${label}`}
              isInvalid={wrong(severity.severity, subject) !== undefined}
              value={draft[severity.severity]?.[subject] ?? share}
              onChange={(typed) =>
                setDraft((present) => ({
                  ...present,
                  [severity.severity]: { ...present[severity.severity], [subject]: typed },
                }))
              }
            >
              <Input inputMode="decimal" />
            </TextField>
          )}
        />
      </Wide>
      <Foot>
        <Soft>1 leaves the interval as it is, 0.5 halves it.</Soft>
        <Refusal refused={save.refused} besides={[]} />
        <Actions>
          <MainButton isDisabled={save.busy} onPress={() => save.send(after)}>
            Change the shares
          </MainButton>
          <PlainButton
            onPress={() => {
              clear();
              onClose();
            }}
          >
            Leave it
          </PlainButton>
        </Actions>
      </Foot>
    </>
  );
}

type Severity = Schemas['Yard']['severities'][number];
type Share = Severity['shares'][number];

function Shares({ yard, cell }: { yard: Schemas['Yard']; cell: (share: Share, severity: Severity) => ReactNode }) {
  return (
    <Table>
      <thead>
        <tr>
          <td />
          {yard.severities[0]?.shares.map(({ subject, label }) => (
            <th key={subject} scope="col">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {yard.severities.map((severity) => (
          <tr key={severity.severity}>
            <th scope="row">{severity.label}</th>
            {severity.shares.map((share) => (
              <td key={share.subject}>{cell(share, severity)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Those shares that are not the usual ones. */
const own = (shares: Share[], of: (share: Share) => string): Record<string, string> =>
  Object.fromEntries(shares.filter((one) => of(one) !== one.usual).map((one) => [one.subject, of(one)]));
