import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { useCaseloadQuery } from '../features/caseload/index.ts';
import { Overlay } from '../kit/Overlay.tsx';

/** Opens trainees and actions by name. */
export function CommandBox({ close }: { readonly close: () => void }) {
  const navigate = useNavigate();
  const { data: trainees = [] } = useCaseloadQuery();
  const go = (to: string) => {
    void navigate(to);
    close();
  };
  return (
    <Overlay label="Find a trainee or action" close={close}>
      <Command label="Find a trainee or action" loop>
        <Command.Input className="input w-full border-0 border-b border-base-300 text-lg" placeholder="Name or action" />
        <Command.List className="max-h-80 overflow-y-auto p-2">
          <Command.Empty className="p-3">Nothing of that name.</Command.Empty>
          <Command.Group heading="Go to" className="aside text-sm">
            <Choice label="Add a trainee" choose={() => go('/trainees/new')} />
            <Choice label="Today" choose={() => go('/')} />
            <Choice label="Caseload" choose={() => go('/caseload')} />
            <Choice label="Re-check calendar" choose={() => go('/rechecks')} />
            <Choice label="Looking back: outcomes and forecasts" choose={() => go('/looking-back')} />
            <Choice label="Measuring: what a figure is worth" choose={() => go('/measuring')} />
            <Choice label="Library: drills" choose={() => go('/library')} />
            <Choice label="Library: ladders" choose={() => go('/library/ladders')} />
            <Choice label="Library: bands" choose={() => go('/library/bands')} />
            <Choice label="Library: schools" choose={() => go('/library/schools')} />
          </Command.Group>
          <Command.Group heading="Trainees" className="aside text-sm">
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={id} label={name} choose={() => go(`/trainees/${id}`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`check-${id}`} label={`Take a check: ${name}`} choose={() => go(`/trainees/${id}/checks/new`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`run-${id}`} label={`Run a battery: ${name}`} choose={() => go(`/trainees/${id}/battery`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`floor-${id}`} label={`Run a session: ${name}`} choose={() => go(`/trainees/${id}/floor`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`workload-${id}`} label={`Workload: ${name}`} choose={() => go(`/trainees/${id}/workload`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`history-${id}`} label={`History: ${name}`} choose={() => go(`/trainees/${id}/history`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`lab-${id}`} label={`Set-up lab: ${name}`} choose={() => go(`/trainees/${id}/lab`)} />
            ))}
            {trainees.map(({ id, name }) => (
              <Choice key={id} id={`plan-${id}`} label={`Plan: ${name}`} choose={() => go(`/trainees/${id}/plan`)} />
            ))}
          </Command.Group>
        </Command.List>
      </Command>
    </Overlay>
  );
}

function Choice({ id, label, choose }: { readonly id?: string; readonly label: string; readonly choose: () => void }) {
  return (
    <Command.Item
      value={`${label} ${id ?? ''}`}
      onSelect={choose}
      className="cursor-pointer rounded px-3 py-1.5 text-base text-base-content data-[selected=true]:bg-primary data-[selected=true]:text-primary-content"
    >
      {label}
    </Command.Item>
  );
}
