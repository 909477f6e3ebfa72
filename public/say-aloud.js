/* Reads the steps of a family page aloud where the phone has a voice for their language. Without it nothing is missing. */
(() => {
  const speech = window.speechSynthesis;
  const words = document.querySelector('[data-say-listen]');
  if (!speech || !words) return;
  const language = document.documentElement.lang;
  const [own, region = ''] = language.toLowerCase().split('-');
  const chinese = { hans: 'zh-cn', hant: 'zh-tw' }[region];
  /** The voice for the language of this page: of its script or region first, then any of the language. */
  const voice = () => {
    const all = speech.getVoices();
    const tag = (one) => one.lang.toLowerCase().replace('_', '-');
    return (
      all.find((one) => tag(one) === (chinese ?? language.toLowerCase())) ??
      all.find((one) => tag(one).split('-')[0] === own)
    );
  };
  let speaking;
  const quiet = () => {
    speech.cancel();
    if (speaking) speaking.textContent = words.dataset.sayListen;
    speaking = undefined;
  };
  const begin = (button, text) => {
    const again = speaking === button;
    quiet();
    if (again) return;
    const said = new SpeechSynthesisUtterance(text);
    said.lang = language;
    said.voice = voice() ?? null;
    said.rate = 0.9;
    said.onend = () => speaking === button && quiet();
    speaking = button;
    button.textContent = words.dataset.sayStop;
    speech.speak(said);
  };
  const offer = () => {
    if (!voice() || document.querySelector('button[data-says]')) return;
    for (const step of document.querySelectorAll('[data-say]')) {
      const button = document.createElement('button');
      button.type = 'button';
      button.dataset.says = '';
      button.textContent = words.dataset.sayListen;
      button.setAttribute('aria-label', `${words.dataset.sayListen}: ${step.textContent}`);
      button.onclick = () => begin(button, step.textContent);
      step.after(button);
    }
  };
  offer();
  speech.addEventListener?.('voiceschanged', offer);
  window.addEventListener('pagehide', quiet);
})();
