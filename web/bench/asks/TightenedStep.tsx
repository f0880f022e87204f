import { useState } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { MainPress, Press, Presses, PressRow, Question } from '../../kit/Hands';
import { Caution, Soft } from '../../kit/Sheet';
import { fromPocket, intoPocket } from '../../offline/pocket';
import { isFine } from '../../offline/states';
import type { Asking } from '../StepInHand';
import { useSpace } from '../useSpace';

const Wrenches = styled(RadioGroup)`
  display: grid; gap: 8px;
  label { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 12px; align-items: center; min-height: 60px; padding: 6px 14px; border: 2px solid var(--line); border-radius: 3px; background: var(--sheet); cursor: pointer; }
  label b { font-size: 24px; font-variant-numeric: tabular-nums; }
  label[data-selected] { border-color: var(--ink); box-shadow: inset 6px 0 0 var(--hedge); }
  label[data-disabled] { color: var(--soft); border-style: dashed; cursor: default; }
  label[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
`;
const KEPT = 'wrench';

/** Something is tightened: what the chosen wrench is set to, in its own units; or by feel. */
export function TightenedStep({ step, ready, onDone, onCannot }: Asking) {
  const settings = step.torque?.settings ?? [];
  const usual =
    settings.find(({ name, verdict }) => isFine(verdict) && name === fromPocket(KEPT)) ??
    settings.find(({ verdict }) => isFine(verdict));
  const [name, setName] = useState(usual?.name ?? null);
  const chosen = settings.find((one) => one.name === name);
  const choose = (wrench: string) => {
    intoPocket(KEPT, wrench);
    setName(wrench);
  };
  const byWrench = () => onDone({ wrench: name });
  const byFeel = () => onDone({ by_feel: true });
  const main = step.torque ? byWrench : byFeel;
  const may = ready && (step.torque === null || isFine(chosen?.verdict));
  useSpace(may ? main : undefined);
  return (
    <>
      <Question style={{ flex: 1, paddingTop: 0 }}>
        {step.torque ? (
          <>
            <Wrenches aria-label="Which wrench" value={name} onChange={choose}>
              {settings.map((one) => (
                <Radio key={one.name} value={one.name} isDisabled={!isFine(one.verdict)}>
                  <span>{isFine(one.verdict) ? one.name : `${one.name}: ${one.warnings[0]}`}</span>
                  {isFine(one.verdict) && <b>{one.setting}</b>}
                </Radio>
              ))}
            </Wrenches>
            {chosen?.warnings.map((warning) => (
              <Caution key={warning}>{warning}</Caution>
            ))}
          </>
        ) : (
          <Soft>It is looked at again after about two hours of use.</Soft>
        )}
      </Question>
      <Presses>
        <MainPress isDisabled={!may} onPress={main}>
          {step.torque ? `Tight at ${chosen?.setting ?? step.torque.target}` : 'Snug plus an eighth'}
        </MainPress>
        <PressRow>
          {step.torque && (
            <Press isDisabled={!ready} onPress={byFeel}>
              By feel
            </Press>
          )}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
