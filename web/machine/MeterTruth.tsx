import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { sinceDay } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { Refusal } from '../trade/Refusal';

const Asked = styled.div`display: flex; flex-direction: column; gap: 4px; max-width: 560px;`;

type Truth = NonNullable<Schemas['MachinePage']['meter_truth']>;
type Says = 'for' | 'against' | 'unseen';

/** Of a used machine: what speaks for or against the hours its meter shows. */
export function MeterTruth({ sheet, truth, mayAsk }: { sheet: Schemas['MachinePage']; truth: Truth; mayAsk: boolean }) {
  const [asking, setAsking] = useState(false);
  return (
    <Asked>
      {truth.told && (
        <>
          <p>{truth.told.why}</p>
          <Soft>
            {truth.told.by}, {sinceDay(truth.told.on, sheet.line.rail.today)}
          </Soft>
        </>
      )}
      {mayAsk && (
        <QuietButton onPress={() => setAsking(true)}>
          {truth.told ? 'Look again' : 'Does this meter tell the truth?'}
        </QuietButton>
      )}
      {asking && <TruthDialog sheet={sheet} truth={truth} onClose={() => setAsking(false)} />}
    </Asked>
  );
}

function TruthDialog({ sheet, truth, onClose }: { sheet: Schemas['MachinePage']; truth: Truth; onClose: () => void }) {
  const before = (sign: Schemas['MeterSign']): Says =>
    truth.told?.for.includes(sign) ? 'for' : truth.told?.against.includes(sign) ? 'against' : 'unseen';
  const [says, setSays] = useState(() => Object.fromEntries(truth.signs.map(({ sign }) => [sign, before(sign)])));
  const write = useNote(() => `${sheet.name}: what speaks for and against its meter is kept.`, onClose);
  const saying = (what: Says) => truth.signs.map(({ sign }) => sign).filter((sign) => says[sign] === what);
  const told = { kind: 'meter_truth' as const, machine_id: sheet.id, for: saying('for'), against: saying('against') };
  return (
    <Dialog title={`${sheet.name}: does its meter tell the truth?`} isOpen onClose={onClose}>
      <Soft>
        Common practice, no source. No single sign proves it; together they speak for the hours shown or against them.
      </Soft>
      {truth.signs.map(({ sign, label, speaks_for, speaks_against }) => (
        <Choice
          key={sign}
          label={label}
          value={says[sign] ?? 'unseen'}
          onChange={(what) => setSays((all) => ({ ...all, [sign]: what }))}
          options={[
            { value: 'unseen', label: 'not looked at, or nothing to tell' },
            { value: 'for', label: speaks_for },
            { value: 'against', label: speaks_against },
          ]}
        />
      ))}
      <Refusal refused={write.refused} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell(told, `${sheet.name}: what speaks for and against its meter`)}
        >
          Keep it
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
