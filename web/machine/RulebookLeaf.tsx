import { Link } from 'react-router';
import styled from 'styled-components';
import { usePerson } from '../api/usePerson';
import { QuietActions, quietLink } from '../kit/Button';
import { Empty, Soft } from '../kit/Sheet';
import { useSheet } from '../trade/useSheet';
import { RuleRows } from './RuleRows';

const ActionLink = styled(Link)`${quietLink}`;
const Head = styled.div`
  padding: 10px 20px; border-bottom: 1px solid var(--rule); display: flex; flex-wrap: wrap; gap: 2px 24px;
  justify-content: space-between; align-items: baseline;
`;

/** Every rule with its standing, most urgent first. */
export default function RulebookLeaf() {
  const sheet = useSheet();
  const keeper = usePerson().role === 'keeper';
  const to = `/machines/${sheet.id}`;
  return (
    <>
      <title>{`${sheet.name}, rulebook`}</title>
      <Head>
        <QuietActions>
          {keeper && <ActionLink to={`${to}/rules/new`}>Add a rule</ActionLink>}
          <ActionLink to={`${to}/chart`}>The chart: all rules at once</ActionLink>
          {keeper && <ActionLink to={`${to}/checks`}>Change the check sheet</ActionLink>}
        </QuietActions>
        {sheet.rules.some((rule) => rule.common_practice) && (
          <Soft>Figures marked common practice have no source. The maker's manual of this machine wins.</Soft>
        )}
        {sheet.left_out.length > 0 && (
          <Soft>
            Left out of the shared rulebook {sheet.shared_rulebook?.name}: {sheet.left_out.join(', ')}.
          </Soft>
        )}
      </Head>
      {sheet.rules.length === 0 && <Empty>No rule is written down, so nothing can fall due.</Empty>}
      <RuleRows sheet={sheet} rules={sheet.rules} />
    </>
  );
}
