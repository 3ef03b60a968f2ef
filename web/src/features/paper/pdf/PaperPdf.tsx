import type { Prepared } from '@myokinet/core/motion';
import { Document, Page, Text, View } from '@react-pdf/renderer';
import type { PaperBlock, PaperDocument, PaperDrill, PaperLook } from '../paperDocument.ts';
import { FAINT_LINE, INK } from './inks.ts';
import { PdfStrip } from './PdfStrip.tsx';

/** Looked for letter by letter, in this order. */
export const FACES = ['Paper', 'Paper more'];
const SIZES = { a4: 'A4', letter: 'LETTER' } as const;
/** Points of plain text, and how much larger the large variant is (common practice: 16 pt and more counts as large print). */
const PLAIN = 10;
const LARGE = 1.65;
/** The head of a page is for whoever files it. */
const HEAD = 12;
/** Breadth of a strip of stills, in sizes of the letters. */
const STRIP = 14;

interface PaperPdfProps {
  readonly document: PaperDocument;
  readonly look: PaperLook;
  /** Worked out for this trainee's body, by drill id and set-up as `figures` names them. */
  readonly figures: ReadonlyMap<PaperDrill, Prepared>;
}

/** The document as a file: real text, one page or more a sheet, name, date and coach on every one of them. */
export function PaperPdf({ document, look, figures }: PaperPdfProps) {
  const { title, trainee, coach, studio, made, sheets } = document;
  const size = PLAIN * (look.large ? LARGE : 1);
  const small = size * 0.85;
  return (
    <Document title={`${title}, ${trainee}`} author={coach} subject={title} creator="Myokinet" producer="Myokinet" language="en">
      {sheets.map((sheet, i) => (
        <Page
          key={i}
          size={SIZES[look.size]}
          style={{
            fontFamily: FACES,
            fontSize: size,
            color: INK,
            paddingHorizontal: 42,
            paddingTop: 40,
            paddingBottom: 48,
          }}
        >
          <View
            fixed
            style={{
              flexDirection: 'row',
              gap: 12,
              borderBottom: `1.5 solid ${INK}`,
              paddingBottom: 3,
              marginBottom: 6,
              fontSize: Math.min(size, HEAD),
            }}
          >
            <Text style={{ fontWeight: 700 }}>{trainee}</Text>
            <Text style={{ flex: 1, textAlign: 'right' }}>{[title, coach, studio, made].filter((part) => part !== '').join(' · ')}</Text>
          </View>
          {/* A line height of the page itself would lose the number of pages below. */}
          <View style={{ fontSize: size, lineHeight: 1.3 }}>
            <Text style={{ fontSize: size * 1.5, lineHeight: 1.2, fontWeight: 700, marginTop: size * 0.7, marginBottom: size * 0.2 }}>
              {sheet.heading}
            </Text>
            {sheet.under.map((line) => (
              <Text key={line}>{line}</Text>
            ))}
            {sheet.blocks.map((block, j) => (
              <PdfBlock key={j} block={block} size={size} figures={figures} />
            ))}
          </View>
          <Text fixed style={{ position: 'absolute', left: 42, bottom: 22, fontSize: small }}>
            Coaching aid, not medical advice.
          </Text>
          <Text
            fixed
            style={{ position: 'absolute', left: 300, right: 42, bottom: 22, height: small * 1.5, textAlign: 'right', fontSize: small }}
            render={({ pageNumber, totalPages }) => `${pageNumber} of ${totalPages}`}
          />
        </Page>
      ))}
    </Document>
  );
}

interface PdfBlockProps {
  readonly block: PaperBlock;
  readonly size: number;
  readonly figures: ReadonlyMap<PaperDrill, Prepared>;
}

function PdfBlock({ block, size, figures }: PdfBlockProps) {
  const heading = (text: string) => <Text style={{ fontWeight: 700, marginBottom: 2 }}>{text}</Text>;
  switch (block.is) {
    case 'drill':
      return <PdfDrill drill={block} size={size} prepared={figures.get(block)} />;
    case 'notice':
      return (
        <View wrap={false} style={{ border: `1.5 solid ${INK}`, padding: 6, marginTop: size }}>
          {heading(block.heading)}
          {block.lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
        </View>
      );
    case 'list': {
      const [first, ...rest] = block.lines.map((line, i) => (
        <View key={i} wrap={false} style={{ flexDirection: 'row', gap: 5 }}>
          <Text>–</Text>
          <Text style={{ flex: 1 }}>{line}</Text>
        </View>
      ));
      return (
        <View style={{ marginTop: size }}>
          <View wrap={false}>
            {heading(block.heading)}
            {first}
          </View>
          {rest}
        </View>
      );
    }
    case 'write':
      return (
        <View wrap={false} style={{ marginTop: size }}>
          {heading(block.heading)}
          {Array.from({ length: block.lines }, (_, i) => (
            <View key={i} style={{ borderBottom: `0.7 solid ${FAINT_LINE}`, height: size * 2 }} />
          ))}
        </View>
      );
    case 'table': {
      const [first, ...rest] = block.rows.map((row, i) => <Row key={i} cells={row} />);
      return (
        <View style={{ marginTop: size }}>
          <View wrap={false}>
            {heading(block.heading)}
            <Row cells={block.columns} strong />
            {first}
          </View>
          {rest}
        </View>
      );
    }
  }
}

function Row({ cells, strong = false }: { readonly cells: readonly string[]; readonly strong?: boolean }) {
  return (
    <View wrap={false} style={{ flexDirection: 'row', borderBottom: `0.7 solid ${strong ? INK : FAINT_LINE}`, paddingVertical: 2, gap: 8 }}>
      {cells.map((cell, i) => (
        <Text key={i} style={{ flex: i === 0 ? 1.8 : 1, fontWeight: strong ? 700 : 400 }}>
          {cell}
        </Text>
      ))}
    </View>
  );
}

/** One drill: what and how much, boxes to tick, the way in stills and in words. Never torn over two pages. */
function PdfDrill({
  drill,
  size,
  prepared,
}: {
  readonly drill: PaperDrill;
  readonly size: number;
  readonly prepared: Prepared | undefined;
}) {
  return (
    <View wrap={false} style={{ marginTop: size, paddingTop: size * 0.5, borderTop: `0.7 solid ${FAINT_LINE}` }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Text style={{ fontSize: size * 1.15, fontWeight: 700 }}>{drill.name}</Text>
          <Text style={{ fontSize: size * 1.15 }}>{drill.dose}</Text>
        </View>
        <View>
          {drill.boxes.map(({ label, count }) => (
            <View key={label} style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-end', gap: 4, marginBottom: 3 }}>
              <Text>{label}</Text>
              {Array.from({ length: count }, (_, i) => (
                <View key={i} style={{ width: size * 1.2, height: size * 1.2, border: `1 solid ${INK}` }} />
              ))}
            </View>
          ))}
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 12, marginTop: 3 }}>
        {prepared && <PdfStrip prepared={prepared} breadth={size * STRIP} />}
        <View style={{ flex: 1 }}>
          {drill.lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          {drill.steps.map((step, i) => (
            <View key={step} style={{ flexDirection: 'row', gap: 5 }}>
              <Text>{i + 1}.</Text>
              <Text style={{ flex: 1 }}>{step}</Text>
            </View>
          ))}
        </View>
      </View>
    </View>
  );
}
