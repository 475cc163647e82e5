import { View } from 'react-native';
import type { CompanyAnswer } from '@/core/housing/company';
import { StatusMark, useStatusInk } from '../components/StatusMark';
import { Body, Soft, Strong } from '../components/Words';
import { COMPANY_TITLES, companyReason } from '@/words/company';
import { space } from '../theme/tokens';

/** What speaks against those who share a box; nothing where nothing does. */
export function CompanyChecks({ answer }: { answer: CompanyAnswer }) {
  const ink = useStatusInk(answer.verdict);
  if (answer.checks.length === 0) return null;
  return (
    <View style={{ gap: space.s, paddingVertical: space.m }}>
      {answer.checks.map((check, index) => (
        <View key={index} style={{ flexDirection: 'row', gap: space.m }}>
          <StatusMark status={check.status} />
          <View style={{ flex: 1, gap: space.hair }}>
            <Strong style={{ color: ink }}>{COMPANY_TITLES[check.rule]}</Strong>
            <Body>{companyReason(check)}</Body>
            <Soft>{`${check.who.join(', ')}; ${check.grounds.basis}`}</Soft>
          </View>
        </View>
      ))}
    </View>
  );
}
