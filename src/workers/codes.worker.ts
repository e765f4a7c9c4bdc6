import { expose } from 'comlink';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { Receiving } from '@/formats/handover/crossing';
import type { CodesWorker } from './codes';

// The reader's program is served by the app itself; by default it would come from elsewhere.
prepareZXingModule({
  overrides: {
    locateFile: (path: string) =>
      path.endsWith('.wasm') ? `${self.location.origin}/zxing_reader.wasm` : path,
  },
});

let parcel = new Receiving();

const worker: CodesWorker = {
  async read(picture) {
    const [found] = await readBarcodes(picture, {
      formats: ['QRCode'],
      tryHarder: true,
      maxNumberOfSymbols: 1,
    });
    return found?.isValid ? { text: found.text, bytes: found.bytes } : null;
  },
  async receive(picture) {
    const of = parcel;
    const code = await this.read(picture);
    return code && of === parcel ? of.take(code.bytes) : null;
  },
  beginReceiving() {
    parcel = new Receiving();
  },
  receiveAnother() {
    parcel.takeAnother();
  },
};

expose(worker);
