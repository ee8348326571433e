/** What is chosen for this device alone: light or dark. It holds at once and is not part of the house. */
import { ChoiceField } from '../../ui/Field';
import { LOOKS, useLook } from '../../ui/look';

const TEXT = { system: 'as the device has it', light: 'light', dark: 'dark' } as const;

export function ThisDevice() {
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
    </section>
  );
}
