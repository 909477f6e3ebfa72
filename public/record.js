/* Says a line aloud on the page of a fluent reader, where the phone can record. Without it nothing is missing. */
(() => {
  const form = document.querySelector('form[data-records]');
  if (!form || !('MediaRecorder' in window) || !navigator.mediaDevices) return;
  form.hidden = false;
  const button = form.querySelector('button');
  const said = form.querySelector('[role=status]');
  const begin = button.textContent;
  let recorder;
  /** Sends what was recorded as the file of the form. */
  const send = (sound) => {
    const files = new DataTransfer();
    files.items.add(new File([sound], 'line', { type: sound.type }));
    form.querySelector('[type=file]').files = files.files;
    button.disabled = true;
    form.requestSubmit();
  };
  const record = async () => {
    said.textContent = '';
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const quiet = () => stream.getTracks().forEach((track) => track.stop());
      recorder = new MediaRecorder(stream, { audioBitsPerSecond: 32000 });
      const pieces = [];
      let late;
      recorder.ondataavailable = ({ data }) => pieces.push(data);
      recorder.onstop = () => {
        clearTimeout(late);
        quiet();
        send(new Blob(pieces, { type: recorder.mimeType }));
      };
      recorder.start();
      late = setTimeout(() => recorder.state === 'recording' && recorder.stop(), form.dataset.records * 1000);
      // Leaving the page ends what is being recorded.
      addEventListener('pagehide', quiet);
      button.textContent = button.dataset.stop;
      button.setAttribute('aria-pressed', 'true');
    } catch {
      button.textContent = begin;
      said.textContent = said.dataset.none;
    }
  };
  button.addEventListener('click', () => (recorder?.state === 'recording' ? recorder.stop() : void record()));
})();
