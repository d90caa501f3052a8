import { memoryHistory } from '../core/router/memory-history.ts';
import type { BarRequest, MountBar } from '../testing/contracts/components/bar.ts';
import { barActionsContract } from '../testing/contracts/components/bar-actions.ts';
import { barNarrowContract } from '../testing/contracts/components/bar-narrow.ts';
import { barPanelsContract } from '../testing/contracts/components/bar-panels.ts';
import { mount, SampleApp } from './mount.samples.tsx';

const mountBar: MountBar = (request) => {
  const app = ({ definition, url = '/', end, audience, onAction = () => undefined, ...bar }: BarRequest) => (
    <SampleApp
      definition={definition}
      history={memoryHistory(url)}
      onAction={onAction}
      {...(audience && { audience })}
      bar={{ ...bar, ...(end === true && { end: <button type="button">Sign in</button> }) }}
    />
  );
  const { render } = mount(app(request));
  return { update: (next) => render(app(next)) };
};

barPanelsContract(mountBar);
barActionsContract(mountBar);
barNarrowContract(mountBar);
