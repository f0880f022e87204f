import { Lead, Page, Sheet, Title } from '../kit/Sheet';
import { History } from './History';

/** Everything that was written down in this yard, newest first. */
export default function LogbookPage() {
  return (
    <Page>
      <title>Logbook</title>
      <Lead>
        <Title>Logbook</Title>
      </Lead>
      <Sheet aria-label="Entries, newest first">
        <History machine={null} />
      </Sheet>
    </Page>
  );
}
