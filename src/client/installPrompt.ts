/** What a browser hands over where it can put this page among the apps of the device. */
interface InstallPrompt extends Event {
  prompt: () => Promise<unknown>;
}

let held: InstallPrompt | undefined;

// It comes once, before anybody asks for it.
if (typeof window !== 'undefined') {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    held = event as InstallPrompt;
  });
}

/** The way to put this page among the apps of the device, once; undefined where the browser has none, or it was used. */
export function installPrompt(): (() => Promise<void>) | undefined {
  const it = held;
  if (!it) return undefined;
  return async () => {
    held = undefined;
    await it.prompt();
  };
}
