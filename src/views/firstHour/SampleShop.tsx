/** The way to the sample shop, and the wait until it is there. */
import { useState } from 'react';
import { call } from '../../contract';
import { errorWords } from '../../ui/query';

export function SampleShop() {
  const [isOpening, setIsOpening] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const open = async () => {
    setIsOpening(true);
    setFault(null);
    try {
      const { port } = await call('putSample', { body: {} });
      location.assign(`http://${location.hostname}:${port}/`);
    } catch (error) {
      setFault(errorWords(error));
      setIsOpening(false);
    }
  };
  // a page that came through another server cannot reach a port of this one
  if (location.protocol !== 'http:') return <span className="label">The sample shop: npm run demo, on the computer of the app.</span>;
  return (
    <span role="status">
      {fault && <span className="text-brick">{fault} </span>}
      {isOpening ? (
        'Setting up the sample shop, up to half a minute …'
      ) : (
        <button type="button" className="act" onClick={() => void open()}>
          Look round a sample shop
        </button>
      )}
    </span>
  );
}
