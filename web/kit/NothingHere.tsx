import { Link } from 'react-router';
import styled from 'styled-components';
import { quietLink } from './Button';
import { Empty, Lead, Page, Sheet, Title } from './Sheet';

const Onward = styled(Link)`${quietLink}`;

type Props = { says: string; to: string; leadsTo: string };

/** What is asked for is not there: that is said, and where to go on. */
export function NothingHere({ says, to, leadsTo }: Props) {
  return (
    <Page>
      <title>Not here</title>
      <Lead>
        <Title>Not here</Title>
      </Lead>
      <Sheet>
        <Empty>
          <p role="status">{says}</p>
          <p>
            <Onward to={to}>{leadsTo}</Onward>
          </p>
        </Empty>
      </Sheet>
    </Page>
  );
}
