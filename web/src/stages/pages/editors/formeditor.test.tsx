import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, draw, PAGES } from '../../../testing';
import type { EditorProps } from './editor';
import { FormEditor } from './FormEditor';

const STARTS = [
  {
    id: 'booking',
    name: 'Booking request',
    value: {
      fields: [{ label: 'Wann', kind: 'date', required: true, help: '' }],
      label: 'Absenden',
      to: 'mailto:neu@weidling.example',
    },
  },
];
const FORM = {
  fields: [
    { label: 'Name', kind: 'name', required: true, help: '' },
    { label: 'Korb', kind: 'choice', required: false, help: '', options: ['Rund', 'Eckig'] },
  ],
  label: 'Absenden',
  to: 'mailto:post@weidling.example',
};

function editor(value: unknown = FORM) {
  answers({ 'GET /api/brands/{brand_id}/form-starts': { starts: STARTS } });
  const put = vi.fn<EditorProps['put']>();
  const section = PAGES[0]!.sections![0]!;
  draw(
    <FormEditor
      path="form"
      label="Form"
      slot={{ path: 'form', label: 'Form', type: 'form', blank: { fields: [] }, most: 0, one: '', variant: 'primary' }}
      value={value}
      row={{ id: section.id, section, document: 'page:home', base: ['sections', 0] }}
      pageId="home"
      disabled={false}
      put={put}
    />,
  );
  return put;
}
const field = (index: number) =>
  within(within(screen.getByRole('list', { name: 'Fields' })).getAllByRole('listitem')[index]!);

describe('a form', () => {
  it('has its fields labelled, asked for, needed, ordered, taken out and added', async () => {
    const put = editor();
    const label = field(0).getByLabelText('Label of field 1');
    await userEvent.clear(label);
    await userEvent.type(label, 'Ihr Name{Enter}');
    expect(put).toHaveBeenLastCalledWith(
      'form/fields',
      [{ ...FORM.fields[0], label: 'Ihr Name' }, FORM.fields[1]],
      'Field “Ihr Name” changed',
    );
    await userEvent.click(field(0).getByLabelText('needed'));
    expect(put).toHaveBeenLastCalledWith(
      'form/fields',
      [{ ...FORM.fields[0], required: false }, FORM.fields[1]],
      'Field “Name” changed',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Move Korb up' }));
    expect(put).toHaveBeenLastCalledWith('form/fields', [FORM.fields[1], FORM.fields[0]], '“Korb” moved');
    expect(screen.getByRole('button', { name: 'Move Name up' })).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Move Korb down' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Take out Name' }));
    expect(put).toHaveBeenLastCalledWith('form/fields', [FORM.fields[1]], 'Field “Name” taken out');
    await userEvent.click(screen.getByRole('button', { name: '+ Field' }));
    expect(put).toHaveBeenLastCalledWith(
      'form/fields/-',
      expect.objectContaining({ label: '[[Field 3]]' }),
      'Field added',
    );
  });

  it('gives a choice something to choose from, and takes it from any other kind', async () => {
    const put = editor();
    await userEvent.selectOptions(field(0).getByLabelText('What “Name” asks for'), 'choice');
    expect(put.mock.lastCall?.[1]).toEqual([
      { ...FORM.fields[0], kind: 'choice', options: ['[[First]]', '[[Second]]'] },
      FORM.fields[1],
    ]);
    await userEvent.selectOptions(field(1).getByLabelText('What “Korb” asks for'), 'tel');
    expect(put.mock.lastCall?.[1]).toEqual([FORM.fields[0], { label: 'Korb', kind: 'tel', required: false, help: '' }]);
    const options = field(1).getByLabelText('What “Korb” offers, a line each');
    await userEvent.clear(options);
    await userEvent.type(options, 'Rund{Enter}{Enter}  Oval ');
    await userEvent.tab();
    expect(put.mock.lastCall?.[1]).toEqual([FORM.fields[0], { ...FORM.fields[1], options: ['Rund', 'Oval'] }]);
  });

  it('is sent to a mail address or another service, and leads on', async () => {
    const put = editor();
    const to = screen.getByLabelText('Sent to');
    expect(to).toHaveValue('post@weidling.example');
    await userEvent.clear(to);
    await userEvent.type(to, 'https://forms.example/x{Enter}');
    expect(put).toHaveBeenLastCalledWith('form/to', 'https://forms.example/x', 'Form is sent elsewhere');
    await userEvent.clear(to);
    await userEvent.type(to, 'neu@weidling.example{Enter}');
    expect(put).toHaveBeenLastCalledWith('form/to', 'mailto:neu@weidling.example', 'Form is sent elsewhere');
    await userEvent.selectOptions(screen.getByLabelText(/Then shows/), 'Home');
    expect(put).toHaveBeenLastCalledWith('form/after', 'page:home', 'Form: what follows it');
  });

  it('begins with a form that is there, and keeps whom it is sent to', async () => {
    const put = editor();
    await userEvent.click(await screen.findByRole('button', { name: 'Booking request' }));
    expect(put).toHaveBeenLastCalledWith('form', { ...STARTS[0]!.value, to: FORM.to }, 'Booking request as the form');
  });

  it('says that it is sent to nobody', () => {
    editor({ ...FORM, to: '' });
    expect(screen.getByText(/sent to nobody yet, which stops a release/)).toBeInTheDocument();
  });
});
