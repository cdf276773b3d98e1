import { Download } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import { Button } from '../../parts/Button.js';
import { PrintPage } from '../../parts/PrintPage.js';
import { downloadDrawings } from '../drawing/export-drawing.js';
import { say } from '../../words/studio.js';

/** A printed page about a pattern, whose plan can also be saved as a drawing. */
export const PatternSheet = ({
  back,
  name,
  children,
}: {
  back: string;
  /** Base name of saved drawings. */
  name: string;
  children: ReactNode;
}): ReactElement => (
  <PrintPage
    name={name}
    back={back}
    backWords={say('backPattern')}
    ways={(['svg', 'png'] as const).map((kind) => (
      <Button key={kind} onPress={() => void downloadDrawings('.sheet-plan svg', name, kind)}>
        <Download size={18} aria-hidden /> {say('planKind', { kind: kind.toUpperCase() })}
      </Button>
    ))}
  >
    {children}
  </PrintPage>
);
