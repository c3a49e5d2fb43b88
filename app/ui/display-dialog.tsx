import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { Choice } from './choice';
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
  return (
    <Dialog.Root
      defaultOpen
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 grid max-h-[90dvh] w-[min(28rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 gap-4 overflow-auto rounded-2xl border-2 border-ink bg-paper p-5"
        >
          <Dialog.Title className="text-lg font-bold">{say('display.title')}</Dialog.Title>
          <Choice
            label={say('display.light2')}
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
          <Dialog.Close className="button justify-self-end">{say('onTheSpot.done')}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
