/** What is chosen for this device alone: light or dark, and an icon of its own. It holds at once and is not part of the house. */
import { ChoiceField } from '../../ui/Field';
import { type Installable, install, useInstallable } from '../../ui/install';
import { LOOKS, useLook } from '../../ui/look';

const TEXT = { system: 'as the device has it', light: 'light', dark: 'dark' } as const;

const INSTALLED: Record<Exclude<Installable, 'offered'>, string> = {
  installed: 'Installed: it opens from its own icon.',
  'by its menu': 'To open it from an icon of its own: “Install” or “Add to home screen” in the menu of this browser, where it has one.',
  'not here': 'It can be installed on the computer that serves it, or where it is reached by HTTPS.',
};

export function ThisDevice() {
  const installable = useInstallable();
  const [look, setLook] = useLook();
  return (
    <section id="this-device" aria-labelledby="this-device-name" className="scroll-mt-20 pb-3">
      <h2 id="this-device-name">This device</h2>
      <ChoiceField
        label="Light or dark"
        value={look}
        onChange={setLook}
        options={LOOKS.map((value) => ({ value, text: TEXT[value] }))}
        hint="The page of a run is always dark"
      />
      {installable === 'offered' ? (
        <button type="button" className="act" onClick={() => void install()}>
          Install on this device
        </button>
      ) : (
        <p className="label">{INSTALLED[installable]}</p>
      )}
    </section>
  );
}
