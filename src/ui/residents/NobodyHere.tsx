import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body } from '../components/Words';

/** The screen of somebody who is not, or no longer, here. */
export function NobodyHere() {
  return (
    <Screen>
      <PaneHeader back="/residents" title="Residents" />
      <Body>
        There is no animal here. It may have been an old link. One whose taking in was taken back stands under
        Residents, Gone, and can be brought back.
      </Body>
    </Screen>
  );
}
