import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { renderSVG } from 'uqr';
import { computerQuery, yardQuery } from '../api/queries';
import { MainButton } from '../kit/Button';
import { OnScreen } from '../kit/Labels';
import { Lead, Page, Soft, Title } from '../kit/Sheet';
import { Reading } from '../trade/Reading';

const Paper = styled.section`
  max-width: 620px; margin: 10px auto; padding: 44px 40px; background: #FFFFFF; color: #1F2A24; border: 2px solid #1F2A24; border-radius: 3px; text-align: center;
  h2 { font-size: 38px; } img { width: 300px; height: 300px; margin: 26px 0 10px; }
  strong { display: block; font-size: 24px; overflow-wrap: anywhere; }
  ol { list-style: decimal; text-align: left; margin: 24px auto 0; max-width: 440px; padding-left: 22px; } li { margin-top: 8px; }
  @media print { border: 0; margin: 0 auto; }
`;

/** To hang beside the shed's door: the address as a code, and what a phone does once. */
export default function DoorSheetPage() {
  const computer = useQuery(computerQuery);
  const yard = useQuery(yardQuery);
  if (!computer.data || !yard.data) return <Reading title="The shed door" error={computer.error ?? yard.error} />;
  const { lan } = computer.data;
  if (!lan) return <Reading title="The shed door" error={new Error('Start it with --lan first.')} />;
  return (
    <Page>
      <title>Sheet for the shed door</title>
      <OnScreen>
        <Lead>
          <div>
            <Title>Sheet for the shed door</Title>
            <Soft>Print it anew if the computer's address changes.</Soft>
          </div>
          <MainButton onPress={() => window.print()}>Print it</MainButton>
        </Lead>
      </OnScreen>
      <Paper aria-label="The sheet">
        <h2>{yard.data.name}</h2>
        <img
          alt={`Code for ${lan.door}`}
          src={`data:image/svg+xml,${encodeURIComponent(renderSVG(lan.door, { border: 1 }))}`}
        />
        <strong>{lan.door}</strong>
        <ol>
          <li>Be in the house's own network. Hold the camera over the code.</li>
          <li>Once: fetch the certificate, and tell the phone to trust it. The page says how.</li>
          <li>Open Jardinier, sign in, and put it on the home screen.</li>
        </ol>
      </Paper>
    </Page>
  );
}
