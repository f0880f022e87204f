import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api } from '../api/client';
import { calendarFeedsQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { Line, Margin, Ruled, Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { useTell } from '../kit/Undo';
import { Refusal } from '../trade/Refusal';

const Body = styled.div`padding: 18px 20px; max-width: 620px; display: flex; flex-direction: column; gap: 16px;`;
const Address = styled.code`font-size: 14px; overflow-wrap: anywhere;`;

/** Addresses from which a calendar program fetches what falls due. */
export function CalendarSheet() {
  const queries = useQueryClient();
  const tell = useTell();
  const person = usePerson();
  const feeds = useQuery(calendarFeedsQuery);
  const [whole, setWhole] = useState<'yard' | 'mine'>('mine');
  const [days, setDays] = useState('2');
  const again = () => queries.invalidateQueries({ queryKey: calendarFeedsQuery.queryKey });
  const open = useWrite(
    (header, body: { whole_yard: boolean; remind_days: string }) =>
      answer(api.POST('/calendar-feeds', { params: { header }, body })),
    again,
  );
  const giveUp = useWrite(
    (_key, feed: number) => answer(api.DELETE('/calendar-feeds/{feed}', { params: { path: { feed } } })),
    again,
  );
  const copy = async (path: string) => {
    await navigator.clipboard.writeText(window.location.origin + path);
    tell('The address is copied.');
  };
  return (
    <Sheet aria-labelledby="calendar">
      <SheetHeading id="calendar">Calendar</SheetHeading>
      {feeds.data?.feeds.map((feed) => (
        <Ruled key={feed.id}>
          <Line>
            <strong>{feed.whole_yard ? 'The whole yard' : 'The machines you may use'}</strong>
            <Address>{window.location.origin + feed.path}</Address>
          </Line>
          <Margin>
            <Soft>{feed.remind_days === 0 ? 'Reminds on the day' : `Reminds ${feed.remind_days} days before`}</Soft>
            <QuietActions>
              <QuietButton onPress={() => copy(feed.path)}>Copy the address</QuietButton>
              <QuietButton onPress={() => giveUp.send(feed.id)}>Give it up</QuietButton>
            </QuietActions>
          </Margin>
        </Ruled>
      ))}
      <Body>
        <Soft>
          Each due point stands in your calendar on its likeliest day and is cancelled when it is done. Whoever knows
          the address can read it; give it up when it has gone astray.
        </Soft>
        <Fields $columns={2}>
          {person.role === 'keeper' && (
            <Choice
              label="Of which machines"
              value={whole}
              onChange={setWhole}
              options={[
                { value: 'mine', label: 'the machines you may use' },
                { value: 'yard', label: 'the whole yard' },
              ]}
              error={open.fields.whole_yard}
            />
          )}
          <Field
            label="Remind how many days before"
            inputMode="numeric"
            value={days}
            onChange={setDays}
            error={open.fields.remind_days}
          />
        </Fields>
        <Refusal refused={open.refused ?? giveUp.refused} besides={['whole_yard', 'remind_days']} />
        <Actions>
          <MainButton
            isDisabled={open.busy}
            onPress={() => open.send({ whole_yard: whole === 'yard', remind_days: days })}
          >
            Open a calendar address
          </MainButton>
        </Actions>
      </Body>
    </Sheet>
  );
}
