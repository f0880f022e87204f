import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { tokensQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { instant } from '../kit/format';
import { Lead, Line, Margin, Page, Ruled, Sheet, SheetHeading, Soft, Title } from '../kit/Sheet';
import { Ticks } from '../kit/Tick';
import { useTell } from '../kit/Undo';
import { Refusal } from '../trade/Refusal';
import { ROLE_WORDS } from '../trade/words';
import { CalendarSheet } from './CalendarSheet';
import { SignInsSheet } from './SignInsSheet';

const Body = styled.div`padding: 18px 20px; max-width: 520px; display: flex; flex-direction: column; gap: 16px;`;
const Secret = styled.code`
  display: block; font-size: 15px; padding: 12px 14px; border: 2px solid var(--straw); background: var(--paper);
  overflow-wrap: anywhere;
`;

type Ability = Schemas['TokenAbility'];
const ABILITIES: Record<Ability, string> = {
  read: 'Read the yard',
  log: 'Log readings, rounds and findings',
  service: 'Record services and meters',
};
const DAYS = [
  { value: '30', label: '30 days' },
  { value: '90', label: '90 days' },
  { value: '366', label: 'A year' },
] as const;

/** One's own calendar, password, where one is signed in, and the tokens with which other programs act. */
export default function AccountPage() {
  const person = usePerson();
  return (
    <Page>
      <title>Your account</title>
      <Lead>
        <div>
          <Title>{person.name}</Title>
          <Soft>
            {ROLE_WORDS[person.role].name}: {ROLE_WORDS[person.role].may}
          </Soft>
        </div>
      </Lead>
      <CalendarSheet />
      <PasswordSheet />
      <SignInsSheet />
      <TokenSheet />
    </Page>
  );
}

function PasswordSheet() {
  const tell = useTell();
  const [present, setPresent] = useState('');
  const [password, setPassword] = useState('');
  const change = useWrite(
    (_key, body: { present: string; password: string }) => answer(api.PUT('/password', { body })),
    () => {
      setPresent('');
      setPassword('');
      tell('Password changed.');
    },
  );
  return (
    <Sheet aria-labelledby="password">
      <SheetHeading id="password">Password</SheetHeading>
      <Body>
        <Field
          label="Present password"
          type="password"
          autoComplete="current-password"
          value={present}
          onChange={setPresent}
          error={change.fields.present}
        />
        <Field
          label="New password, at least 10 characters"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
          error={change.fields.password}
        />
        <Refusal refused={change.refused} besides={['present', 'password']} />
        <Actions>
          <MainButton isDisabled={change.busy} onPress={() => change.send({ present, password })}>
            Change the password
          </MainButton>
        </Actions>
      </Body>
    </Sheet>
  );
}

function TokenSheet() {
  const queries = useQueryClient();
  const tokens = useQuery(tokensQuery);
  const [name, setName] = useState('');
  const [abilities, setAbilities] = useState<Ability[]>(['read']);
  const [days, setDays] = useState<(typeof DAYS)[number]['value']>('90');
  const [secret, setSecret] = useState<string | null>(null);
  const again = () => queries.invalidateQueries({ queryKey: tokensQuery.queryKey });
  const make = useWrite(
    (header, body: { name: string; abilities: Ability[]; days: number }) =>
      answer(api.POST('/tokens', { params: { header }, body })),
    async ({ token }) => {
      setSecret(token);
      setName('');
      await again();
    },
  );
  const takeBack = useWrite(
    (_key, token: number) => answer(api.DELETE('/tokens/{token}', { params: { path: { token } } })),
    again,
  );
  return (
    <Sheet aria-labelledby="tokens">
      <SheetHeading id="tokens">Tokens for other programs</SheetHeading>
      {tokens.data?.data.map((token) => (
        <Ruled key={token.id}>
          <Line>
            {token.name}
            <Soft>
              {token.abilities.map((ability) => ABILITIES[ability]).join('; ')}.{' '}
              {token.expires_at && `Ends ${instant(token.expires_at, true)}.`}
            </Soft>
          </Line>
          <Margin>
            <Soft>{token.last_used_at ? `Last used ${instant(token.last_used_at, false)}` : 'Never used'}</Soft>
            <QuietButton onPress={() => takeBack.send(token.id)}>Take it back</QuietButton>
          </Margin>
        </Ruled>
      ))}
      <Body>
        <Soft>
          A token does what it is made for, never more than your role allows, and nothing about people or rulebooks.
          Changing your password ends all of them. The contract is at <a href="/api/docs">/api/docs</a>.
        </Soft>
        {secret && (
          <div role="status">
            <p>Copy it now; it is not shown again.</p>
            <Secret>{secret}</Secret>
          </div>
        )}
        <Field label="What it is for" value={name} onChange={setName} error={make.fields.name} />
        <Ticks
          label="What it may do"
          value={abilities}
          onChange={setAbilities}
          options={(Object.keys(ABILITIES) as Ability[]).map((value) => ({ value, label: ABILITIES[value] }))}
          error={make.fields.abilities}
        />
        <Choice label="It holds for" value={days} onChange={setDays} options={DAYS} />
        <Refusal refused={make.refused ?? takeBack.refused} besides={['name', 'abilities']} />
        <Actions>
          <MainButton isDisabled={make.busy} onPress={() => make.send({ name, abilities, days: Number(days) })}>
            Make a token
          </MainButton>
        </Actions>
      </Body>
    </Sheet>
  );
}
