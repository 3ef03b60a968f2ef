import { doseInWords, type Drill } from '@myokinet/core/drills';
import { drillSearch } from '@myokinet/core/library';
import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { Overlay } from '../../kit/Overlay.tsx';

const MOST_SHOWN = 60;

/** Drills of the library by search; a routine is for many, so nothing is kept out here. */
export function AddDrill({ add, close }: { readonly add: (drill: Drill) => void; readonly close: () => void }) {
  const { drills } = useLibrary();
  const [text, setText] = useState('');
  const search = useMemo(() => drillSearch(drills), [drills]);
  return (
    <Overlay label="Add a drill" close={close}>
      <Command label="Add a drill" loop shouldFilter={false}>
        <Command.Input
          className="input w-full border-0 border-b border-base-300 text-lg"
          placeholder="Name, joint or phase"
          value={text}
          onValueChange={setText}
        />
        <Command.List className="max-h-96 overflow-y-auto p-2">
          <Command.Empty className="p-3">No drill matches.</Command.Empty>
          {search(text)
            .slice(0, MOST_SHOWN)
            .map((drill) => (
              <Command.Item
                key={drill.id}
                value={drill.id}
                onSelect={() => add(drill)}
                className="cursor-pointer rounded px-3 py-1.5 text-sm data-[selected=true]:bg-primary data-[selected=true]:text-primary-content"
              >
                <span className="float-end ms-2 rounded bg-base-100 text-base-content">
                  <StillBody of={drill} size={44} />
                </span>
                <span className="block text-base leading-tight">{drill.name}</span>
                <span className="block leading-tight">
                  {drill.phase}, {doseInWords(drill.dose, drill.dose)}
                </span>
              </Command.Item>
            ))}
        </Command.List>
      </Command>
    </Overlay>
  );
}
