import { useState } from 'react';
import { Choice } from './choice';
import { PlainDialog } from './plain-dialog';
import { canSpeak } from './speak-aloud';
import {
  HANDS,
  handNow,
  readsAloud,
  setHand,
  setReadsAloud,
  setTheme,
  themeNow,
  THEMES,
  type Hand,
  type Theme,
} from './theme';
import { language, LANGUAGES, type Language } from '@core/base/words/language';
import { LANGUAGE_NAME, setLanguage } from './language';
import { say } from '~/words/ui';

const THEME_NAME: Readonly<Record<Theme, string>> = {
  light: say('display.light'),
  dark: say('display.dark'),
  sun: say('display.sun'),
};
const HAND_NAME: Readonly<Record<Hand, string>> = {
  right: say('display.right'),
  left: say('display.left'),
};

/** How this device is looked at and held. */
export default function DisplayDialog({ onClose }: { onClose: () => void }) {
  const [theme, chooseTheme] = useState(themeNow);
  const [hand, chooseHand] = useState(handNow);
  const [aloud, chooseAloud] = useState(readsAloud);
  /** A language that is not on this device, asked for without a network. */
  const [away, setAway] = useState<Language | null>(null);
  return (
    <PlainDialog title={say('display.title')} close={say('onTheSpot.done')} onClose={onClose}>
      <Choice
        label={say('display.language')}
        value={language}
        options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAME[value] }))}
        onChange={(value) => {
          const next = LANGUAGES.find((one) => one === value) ?? language;
          void setLanguage(next).then((done) => setAway(done ? null : next));
        }}
      />
      {away ? <p role="alert">▲ {say('display.away', { language: LANGUAGE_NAME[away] })}</p> : null}
      <Choice
        label={say('display.heading')}
        value={theme}
        options={THEMES.map((value) => ({ value, label: THEME_NAME[value] }))}
        onChange={(value) => {
          const next = THEMES.find((one) => one === value) ?? 'light';
          setTheme(next);
          chooseTheme(next);
        }}
      />
      <Choice
        label={say('display.hand')}
        value={hand}
        options={HANDS.map((value) => ({ value, label: HAND_NAME[value] }))}
        onChange={(value) => {
          const next = value === 'left' ? 'left' : 'right';
          setHand(next);
          chooseHand(next);
        }}
      />
      {canSpeak() ? (
        <Choice
          label={say('display.readAloud')}
          value={aloud ? 'on' : 'off'}
          options={[
            { value: 'off', label: say('display.off') },
            { value: 'on', label: say('display.on') },
          ]}
          onChange={(value) => {
            setReadsAloud(value === 'on');
            chooseAloud(value === 'on');
          }}
        />
      ) : (
        <p className="text-sm text-ink-soft">{say('display.noVoice')}</p>
      )}
    </PlainDialog>
  );
}
