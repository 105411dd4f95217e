'use client';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { RequestProblem } from '../api';
import { EditorPopover } from '../parts/EditorPopover';
import { useImports } from './imports';

function AddressFields({ onDone }: { onDone: () => void }) {
  const { takeAddress } = useImports();
  const [address, setAddress] = useState('');
  const [state, setState] = useState<'idle' | 'fetching' | { problem: string }>('idle');
  const fetching = state === 'fetching';

  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setState('fetching');
    try {
      await takeAddress(address);
      onDone();
    } catch (error) {
      if (!(error instanceof RequestProblem)) throw error;
      setState({ problem: error.message });
    }
  };
  return (
    <Form className="address-form" onSubmit={(e) => void submit(e)}>
      <label htmlFor="picture-address">Address of a picture file</label>
      <Form.Control
        id="picture-address"
        type="url"
        autoFocus
        autoComplete="off"
        placeholder="https://"
        maxLength={2000}
        value={address}
        onChange={(e) => setAddress(e.target.value)}
      />
      {typeof state === 'object' && (
        <p className="problem" role="alert">
          {state.problem}
        </p>
      )}
      <Button variant="primary" size="sm" type="submit" disabled={fetching || address.trim() === ''}>
        {fetching ? 'being fetched…' : 'Fetch'}
      </Button>
    </Form>
  );
}

/** A picture that lies on a public server is fetched by ours. */
export const AddressForm = () => (
  <EditorPopover
    label="A picture by its address"
    button={{ variant: 'quiet', size: 'sm', children: 'by address' }}
  >
    {(close) => <AddressFields onDone={close} />}
  </EditorPopover>
);
