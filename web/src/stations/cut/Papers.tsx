import { Box, Button, Dialog, Flex, Text } from '@chakra-ui/react';
import { jobTools } from '@north-pane/core/building';
import { errorWords } from '@north-pane/core/care';
import { type PaperSize, paperSizes, writeDxf, writeSvg } from '@north-pane/core/draw';
import { buyListCsv, cutListCsv, type PaperKind } from '@north-pane/core/papers';
import { layoutDrawings, type ShopPlan } from '@north-pane/core/shop';
import { Download, Printer } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Choice } from '../../parts/Choice';
import { download } from '../../parts/download';
import { Frame } from '../../parts/Frame';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { inShopNow, useDocument, useJob } from '../../state/job';
import { useKeptRevision } from '../../state/kept';
import { revisionWords } from '../../state/moved';
import { type Work, workLine } from '../../workers/cutWork';

/** Everything that is printed and taken along, and files for other programs. */
export function Papers({ plan }: { plan: ShopPlan }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="sm" variant="outline" onClick={() => setOpen(true)}>
        <Printer size={16} aria-hidden /> Print, files
      </Button>
      {open && <PapersDialog plan={plan} onClose={() => setOpen(false)} />}
    </>
  );
}

const papers: readonly { kind: PaperKind; name: string; words: string }[] = [
  { kind: 'pack', name: 'Shop pack', words: 'a front page, and all of the below in one file' },
  { kind: 'steps', name: 'Steps', words: 'the order of work, dangers, and lines to write on what was measured' },
  { kind: 'buy', name: 'Buy list', words: 'counter by counter, in packs as they are sold, with prices' },
  { kind: 'marks', name: 'Stock marks', words: 'what is marked on every bar: running, from one end, the kerf in' },
  { kind: 'cut', name: 'Cut list', words: 'bars and sheets laid out, the order of cuts, the stops' },
  { kind: 'cards', name: 'Mark-out cards', words: 'each piece in large figures' },
  {
    kind: 'templates',
    name: 'Templates, full size',
    words: 'drill strips, wrap-rounds, exit holes, with a ruler to measure',
  },
  {
    kind: 'assembly',
    name: 'Assembly',
    words: 'every view with the letters of its pieces, and where each piece lies',
  },
  { kind: 'plumbing', name: 'Plumbing', words: 'every port: its place, what goes onto it, how its pipe falls' },
  { kind: 'drawings', name: 'Drawings', words: 'the same views without letters; not in the pack' },
  { kind: 'labels', name: 'Labels', words: 'a sticker for every piece: name, size, which end; not in the pack' },
  {
    kind: 'report',
    name: 'Test report',
    words: 'efficiency and losses as a laboratory prints them, worked out from the drawing; not in the pack',
  },
];

/** Not in the pack: a strip of two metres is dozens of sheets. */
const bentEdge: (typeof papers)[number] = {
  kind: 'edge',
  name: 'Bent edge, full size',
  words: 'the strips laid flat; dozens of sheets, not in the pack',
};

const line = workLine();

function PapersDialog({ plan, onClose }: { plan: ShopPlan; onClose(): void }) {
  const job = useDocument();
  const id = useJob((state) => state.id) ?? 'job';
  const habit = useHabit();
  const { parts, open } = useDerived();
  const kept = useKeptRevision();
  const [size, setSize] = useState<PaperSize>(job.units === 'metric' ? 'a4' : 'letter');
  const [making, setMaking] = useState<PaperKind | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const under = useRef<Work<unknown> | undefined>(undefined);
  useEffect(() => () => under.current?.stop(), []);
  const print = (kind: PaperKind) => {
    setMaking(kind);
    const about = { revision: revisionWords(kept), at: new Date(), habit, size };
    const work = line((cut) => cut.print(kind, inShopNow(), plan, about));
    under.current = work;
    setTrouble(undefined);
    work.done.then(
      (bytes) => {
        download(`${id}-${kind}.pdf`, bytes, 'application/pdf');
        setMaking(undefined);
      },
      (error: unknown) => {
        setTrouble(errorWords(error));
        setMaking(undefined);
      },
    );
  };
  const layouts = () => layoutDrawings(plan.materials, `${job.name}, laid out`);
  const first = open.panels[0]?.design.drawings.plan.draw();
  const files: readonly { name: string; make(): void }[] = [
    { name: 'Cut list, CSV', make: () => download(`${id}-cut-list.csv`, cutListCsv(parts, habit), 'text/csv') },
    {
      name: 'Buy list, CSV',
      make: () => download(`${id}-buy-list.csv`, buyListCsv(plan, job.currency, habit, jobTools(open)), 'text/csv'),
    },
    { name: 'Layout, SVG', make: () => download(`${id}-layout.svg`, writeSvg(layouts(), { habit }), 'image/svg+xml') },
    {
      name: 'Layout, DXF',
      make: () =>
        void writeDxf(layouts(), { habit }).then((text) => download(`${id}-layout.dxf`, text, 'image/vnd.dxf')),
    },
    ...(first
      ? [
          { name: 'Plan, SVG', make: () => download(`${id}-plan.svg`, writeSvg(first, { habit }), 'image/svg+xml') },
          {
            name: 'Plan, DXF',
            make: () =>
              void writeDxf(first, { habit }).then((text) => download(`${id}-plan.dxf`, text, 'image/vnd.dxf')),
          },
        ]
      : []),
  ];
  return (
    <Frame title="Print, and files" wide onClose={onClose}>
      <Dialog.Body>
        <Flex gap="8" wrap="wrap">
          <Box flex="1 1 400px">
            <Box w="190px" mb="3">
              <Choice<PaperSize>
                label="Paper"
                value={size}
                choices={(Object.keys(paperSizes) as PaperSize[]).map((one) => ({
                  value: one,
                  words: paperSizes[one].name,
                }))}
                onValue={setSize}
              />
            </Box>
            {[
              ...papers,
              ...(open.panels.some(({ design }) => Object.values(design.drawings).some(({ flat }) => flat))
                ? [bentEdge]
                : []),
            ].map(({ kind, name, words }) => (
              <Flex key={kind} align="center" gap="3" py="1.5" borderBottomWidth="1px" borderColor="line">
                <Box flex="1">
                  <Text fontWeight="600">{name}</Text>
                  <Text fontSize="14px" color="soft">
                    {words}
                  </Text>
                </Box>
                <Button
                  size="sm"
                  variant={kind === 'pack' ? 'solid' : 'outline'}
                  disabled={making !== undefined}
                  aria-label={`${name}, PDF`}
                  onClick={() => print(kind)}
                >
                  <Download size={15} aria-hidden /> {making === kind ? 'Making it…' : 'PDF'}
                </Button>
              </Flex>
            ))}
            {trouble && (
              <Text role="alert" color="brickText" mt="2">
                The paper could not be made: {trouble}
              </Text>
            )}
            <Text fontSize="14px" color="soft" mt="3">
              Print templates at 100 %, not fitted to the page, and measure the ruler before anything is cut by them.
            </Text>
          </Box>
          <Box flex="1 1 200px">
            <Text fontWeight="600" mb="2">
              For other programs
            </Text>
            <Flex gap="2" wrap="wrap">
              {files.map(({ name, make }) => (
                <Button key={name} size="xs" variant="outline" onClick={make}>
                  <Download size={14} aria-hidden /> {name}
                </Button>
              ))}
            </Flex>
          </Box>
        </Flex>
      </Dialog.Body>
      <Dialog.Footer>
        <Button variant="outline" onClick={onClose}>
          Close
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
