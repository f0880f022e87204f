import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { answer, api } from '../api/client';
import { sessionQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton } from '../kit/Button';
import { Field } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { Refusal } from '../trade/Refusal';
import { Ended } from './Ended';

export const Gate = styled.main`min-height: 100dvh; display: grid; place-items: center; padding: 24px 16px;`;
export const GateForm = styled.form`
  width: min(430px, 100%); background: var(--sheet); border: 1px solid var(--rule); border-top: 5px solid var(--ink);
  padding: 30px 30px 32px; display: flex; flex-direction: column; gap: 18px;
  h1 { font-size: 27px; }
`;

export function SignIn({ yard, ended }: { yard: string | null; ended: boolean }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useWrite(
    (_key, sign_in_name: string, secret: string) =>
      answer(api.POST('/session', { body: { sign_in_name, password: secret } })),
    (session) => queries.setQueryData(sessionQuery.queryKey, session),
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.send(name, password);
  };
  return (
    <Gate>
      <GateForm onSubmit={submit}>
        <h1>{yard ?? 'Jardinier'}</h1>
        {ended && <Ended />}
        <Field
          label="Sign-in name"
          name="username"
          autoComplete="username"
          autoFocus
          value={name}
          onChange={setName}
          error={signIn.fields.sign_in_name}
        />
        <Field
          label="Password"
          name="password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          error={signIn.fields.password}
        />
        <Refusal refused={signIn.refused} besides={['sign_in_name', 'password']} />
        <MainButton type="submit" isDisabled={signIn.busy}>
          Sign in
        </MainButton>
        <Soft>
          Invited, or given a code? <Link to="/welcome">Choose your password</Link>. Forgotten it? A keeper gives you a
          code; on the yard's own computer <code>./jardinier keeper --reset</code> lets a keeper back in.
        </Soft>
      </GateForm>
    </Gate>
  );
}
