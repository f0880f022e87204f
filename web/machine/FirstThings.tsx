import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, quietLink } from '../kit/Button';
import { Line, Margin, Ruled, SheetHeading, Soft } from '../kit/Sheet';
import { Mark } from '../trade/Marks';
import { KIND_WORDS } from '../trade/words';

const Steps = styled.ol`
  display: flex; flex-direction: column; gap: 5px;
  li { display: flex; gap: 9px; align-items: baseline; }
  svg { transform: translateY(2px); }
`;
const ActionLink = styled(Link)`${quietLink}`;

/** What to do first on a machine whose past nobody knows, as one list. */
export function FirstThings({ sheet, mayService }: { sheet: Schemas['MachinePage']; mayService: boolean }) {
  if (sheet.first_things.length === 0) return null;
  const rules = new Map(sheet.rules.map((rule) => [rule.id, rule]));
  return (
    <section aria-labelledby="first">
      <SheetHeading id="first">First of all: nobody knows its past</SheetHeading>
      {sheet.first_things.map(({ reason, rule_ids }) => (
        <Ruled key={reason}>
          <Line>
            <Steps>
              {rule_ids.map((id) => {
                const rule = rules.get(id);
                return (
                  rule && (
                    <li key={id}>
                      <Mark kind={rule.kind} size={16} />
                      <span>
                        {rule.task}, <Soft>{KIND_WORDS[rule.kind]}</Soft>
                      </span>
                    </li>
                  )
                );
              })}
            </Steps>
          </Line>
          <Margin>
            <p>{reason}</p>
            {mayService && (
              <QuietActions>
                <ActionLink to={`service?rules=${rule_ids.join()}`}>
                  Record these, or say when they were done
                </ActionLink>
              </QuietActions>
            )}
          </Margin>
        </Ruled>
      ))}
    </section>
  );
}
