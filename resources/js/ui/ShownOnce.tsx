import { CopyButton, TextInput } from '@mantine/core';

import { say } from '../lib/keepSay';
import ui from './ui.module.css';

/** Something that is shown once: whoever leaves the page has to make a new one. */
export function ShownOnce({ label, told, value }: { label: string; told: string; value: string }) {
  return (
    <TextInput
      label={label}
      description={told}
      readOnly
      value={value}
      onFocus={(event) => event.currentTarget.select()}
      rightSectionWidth={72}
      rightSection={
        <CopyButton value={value}>
          {({ copied, copy }) => (
            <button type="button" className={ui.linklike} onClick={copy}>
              {say(copied ? 'setoff.outside.copied' : 'setoff.outside.copy')}
            </button>
          )}
        </CopyButton>
      }
    />
  );
}
