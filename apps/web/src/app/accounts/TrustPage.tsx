import { useState, type ReactElement } from 'react';
import { ButtonAnchor } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { DEVICE_KINDS, kindOfDevice, say, trustSteps, type DeviceKind } from '../../words/trust.js';

/** Explains how to make a device trust this server's certificate; served over plain HTTP, because it does not yet. */
export function TrustPage(): ReactElement {
  const [kind, setKind] = useState<DeviceKind>(() => kindOfDevice(navigator.userAgent));
  return (
    <Page name={say('trust')}>
      <div style={{ maxWidth: 620 }}>
        <Headline>{say('trustHeadline')}</Headline>
        <Quiet style={{ marginTop: 8 }}>{say('trustMeans')}</Quiet>
        <div style={{ maxWidth: 300, marginTop: 20 }}>
          <SelectField
            label={say('thisDevice')}
            value={kind}
            options={DEVICE_KINDS}
            onChange={setKind}
          />
        </div>
        <ol style={{ display: 'grid', gap: 12, paddingLeft: 24, marginTop: 20 }}>
          <li>
            <ButtonAnchor download href="/club-ca.crt">
              {say('fetchCertificate')}
            </ButtonAnchor>
          </li>
          {trustSteps(kind).map((step) => (
            <li key={step}>{step}</li>
          ))}
          <li>
            <ButtonAnchor href="/open" $weight="main">
              {say('openApp')}
            </ButtonAnchor>
          </li>
        </ol>
        <Heading style={{ marginTop: 30 }}>{say('without')}</Heading>
        <Quiet>{say('withoutMeans')}</Quiet>
      </div>
    </Page>
  );
}
