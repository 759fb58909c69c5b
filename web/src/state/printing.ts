import { whenIdle } from './busy';
import { useView } from './view';

let begun = false;

/** Prints the page once every section is open and all of it is worked out. */
export async function printWhenReady(): Promise<void> {
  if (begun) return;
  begun = true;
  useView.setState({ printing: true });
  try {
    await whenIdle();
    window.print();
  } finally {
    begun = false;
    useView.setState({ printing: false });
  }
}
