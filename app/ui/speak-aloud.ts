/** Whether this browser has a voice of its own. */
export const canSpeak = (): boolean =>
  typeof window !== 'undefined' && 'speechSynthesis' in window && 'SpeechSynthesisUtterance' in window;

/** Says it aloud in the language of the page, in place of what is being said. Nothing where there is no voice. */
export function speakAloud(text: string): void {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(spoken(text));
  said.lang = document.documentElement.lang;
  window.speechSynthesis.speak(said);
}

export const stopSpeaking = (): void => {
  if (canSpeak()) window.speechSynthesis.cancel();
};

/** As it is said, not as it is written: an arrow leads to something, a dot is a pause. */
export const spoken = (text: string): string =>
  text
    .replace(/\s*→\s*/g, ', ')
    .replace(/\s*·\s*/g, ', ')
    .replace(/\b(\d+)-(\d)(?=\D|$)/g, '$1 $2')
    .trim();
