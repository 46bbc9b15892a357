import { expect, test } from '@playwright/test';
import { atTheBench, copyOf, watch, visit } from '../bench.ts';

/** A JPEG of one pixel. */
const PIXEL = Buffer.from(
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAAMCAgICAgMCAgIDAwMDBAYEBAQEBAgGBgUGCQgKCgkICQkKDA8MCgsOCwkJDRENDg8QEBEQCgwSExIQEw8QEBD/yQALCAABAAEBAREA/8wABgAQEAX/2gAIAQEAAD8A0s8g/9k=',
  'base64',
);

test('a melted connector: every circuit in it at once, a photo, the pigtail mapped by cavity and proved', async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  const id = await copyOf(request, '0144');
  await atTheBench(page);
  await visit(page, `/jobs/${id}/survey`);
  const table = page.getByRole('region', { name: 'Findings' });
  await expect(table.getByRole('row')).toHaveCount(5);

  // All circuits of X22 in one go, then taken back in one go.
  await page.keyboard.press('a');
  const form = page.getByRole('dialog', { name: 'What was found' });
  await form.getByRole('radio', { name: 'housing or latch broken, terminals good' }).click();
  await form.getByLabel('At which connector?').selectOption('X22');
  await form.getByRole('button', { name: 'Every circuit in it (3)' }).click();
  await form.getByRole('button', { name: 'Add to 3 circuits' }).click();
  await expect(form).toBeHidden();
  await expect(table.getByRole('row')).toHaveCount(8);
  await expect(table.getByRole('row', { name: /76 Blade height sensor/ }).filter({ hasText: 'X22 C' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByRole('row')).toHaveCount(5);

  // A photo; something that is none is refused.
  const attach = page.getByLabel('Attach photos to the finding on circuit 71');
  await attach.setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a photo') });
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('The photo cannot be read');
  await attach.setInputFiles({ name: 'melted.jpg', mimeType: 'image/jpeg', buffer: PIXEL });
  await page.getByRole('button', { name: 'Photo 1 of circuit 71, melted.jpg' }).click();
  await expect(page.getByRole('img', { name: 'What was found on circuit 71' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByRole('button', { name: /^Photo 1/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Photo 1/ })).toBeVisible();

  // Decide says which way and what to order; the card maps by cavity and warns of the colour.
  await page.keyboard.press('2');
  await expect(
    page
      .getByRole('region', { name: 'Every way of mending it' })
      .getByRole('listitem')
      .filter({ hasText: 'Pigtail, one splice for every wire' }),
  ).toContainText('by cavity and never by colour');
  await page.getByRole('link', { name: /by cavity$/ }).click();
  await expect(page.getByText('Not by colour: the harness wire in brown is circuit 72, in cavity 2.')).toBeVisible();
  await page.getByLabel('Size of the pigtail wire out of cavity 1').selectOption('metric 0.75');
  await expect(page.getByRole('alert', { name: 'What forbids it' })).toContainText(
    'smaller than the 1.5 mm² of circuit 71',
  );
  await page.getByLabel('Size of the pigtail wire out of cavity 1').selectOption('metric 2');
  await page.getByRole('button', { name: 'Save this mapping' }).click();
  const prove = page.getByRole('region', { name: 'Continuity' });
  await prove.getByRole('button', { name: 'At another' }).first().click();
  await prove.getByRole('button', { name: '4', exact: true }).click();
  await expect(prove.getByText(/comes out in cavity 4 and belongs in 1: it is swapped/)).toBeVisible();
  for (const cavity of ['1', '2', '4']) {
    await prove.getByRole('button', { name: `Sounds at ${cavity} only` }).click();
    await expect(prove.getByRole('button', { name: `Sounds at ${cavity} only` })).toHaveCount(0);
  }
  await expect(prove.getByRole('heading', { name: /proved/ })).toBeVisible();
  expect(errors.filter((error) => !/422/.test(error))).toEqual([]);
});

test('a connector in the hand: picked in the face, it shows in the mate, on the harness and in the list', async ({
  page,
  request,
}) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await copyOf(request, '0144')}/survey`);
  await page.getByRole('button', { name: 'X22', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Connector X22' });
  await dialog
    .getByRole('group', { name: /^X22, wire side/ })
    .getByRole('button', { name: /^Cavity C/ })
    .click();
  await expect(
    dialog.getByRole('group', { name: /^Mate of X22/ }).getByRole('button', { name: /^Cavity C/ }),
  ).toHaveAttribute('aria-pressed', 'true');
  await expect(dialog.getByRole('img', { name: 'The circuit goes through Frame run, Valve run' })).toBeVisible();
  await expect(
    dialog.getByRole('list', { name: 'Cavities of X22' }).getByRole('button', { name: /76/ }),
  ).toHaveAttribute('aria-pressed', 'true');
  await dialog.getByRole('list', { name: 'Cavities of X22' }).getByRole('button', { name: /74/ }).click();
  await expect(dialog.getByRole('region', { name: 'Cavity A' })).toContainText('Lift valve feed');
});
