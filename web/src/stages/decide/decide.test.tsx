import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { READY_PRACTICES } from '@mendum/core/practice';
import { circuitOf, findingOf, InJob, viewOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { DecideStage } from './DecideStage.tsx';

const two = () =>
  viewOf([findingOf('F1'), findingOf('F2', { circuitId: 'C2', kind: 'cooked', fromMm: 700, toMm: 712 })]);

describe('the cards', () => {
  it('put what asks for a person on top', () => {
    standInServer({});
    render(
      <InJob view={two()}>
        <DecideStage />
      </InJob>,
    );
    const cards = screen.getAllByRole('button', { name: /Function/ });
    expect(cards[0]?.textContent).toContain('Function 2');
    expect(cards[0]?.textContent).toContain('needs you');
    expect(cards[1]?.textContent).toContain('1 splice');
  });

  it('nothing found says where to go', () => {
    standInServer({});
    render(
      <InJob view={viewOf([])}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByRole('link', { name: 'Go to Survey' })).toBeTruthy();
  });

  it('another practice is sent with the version it was chosen on', async () => {
    const sent = standInServer({
      '/practices': {
        body: READY_PRACTICES.map((practice) => ({
          practice,
          ready: true,
          jobs: 0,
          usual: practice.id === 'crimpFirst',
        })),
      },
      'PUT /jobs/J/practice': { body: { version: 2 } },
    });
    render(
      <InJob view={two()}>
        <DecideStage />
      </InJob>,
    );
    await screen.findByRole('option', { name: 'Crimp only' });
    await userEvent.selectOptions(screen.getByLabelText('Practice'), 'crimpOnly');
    await waitFor(() => expect(writesOf(sent)).toMatchObject([{ body: { practiceId: 'crimpOnly', version: 1 } }]));
  });

  it('says when the plan is made from the shelf of the file', () => {
    standInServer({});
    render(
      <InJob view={{ ...two(), ownShelf: true }}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByText("Planned from the shelf that came in the job's file.")).toBeTruthy();
  });
});

describe('a decision opened', () => {
  it('says what, because of what, in figures', () => {
    standInServer({});
    render(
      <InJob view={viewOf([findingOf('F1')])}>
        <DecideStage />
      </InJob>,
    );
    const article = screen.getByRole('article', { name: 'Decision on circuit 1' });
    expect(screen.getByRole('heading', { name: 'One splice: sealed butt, middle' })).toBeTruthy();
    expect(article.textContent).toContain('The cut loses 12 mm; slack is 30 mm: one splice reaches.');
    expect(article.textContent).toContain('Sealed butt, middle: 2.5 mm² in 1.04–2.63 mm².');
    expect(article.textContent).toContain('Tug≤ 111 N');
  });

  it('a choice against the ranking shows its reason and can be taken back', async () => {
    const sent = standInServer({ 'POST /jobs/J/choices': { status: 201, body: {} } });
    const chosen = {
      findingId: 'F1',
      use: 'clipSleeve' as const,
      reason: 'slimmer here',
      by: 'Marek',
      at: '2030-01-01T09:00:00Z',
    };
    render(
      <InJob view={viewOf([findingOf('F1')], { job: { choices: [chosen] } })}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByText('Chosen by Marek:').parentElement?.textContent).toContain('slimmer here');
    await userEvent.click(screen.getByRole('button', { name: 'Back to the ranking' }));
    await waitFor(() => expect(writesOf(sent)).toMatchObject([{ body: { findingId: 'F1', use: null } }]));
  });

  it('a fuse above the wire asks for a person, with both figures', () => {
    standInServer({});
    const hot = viewOf([findingOf('F1')]);
    const circuits = [circuitOf('1', { fuseA: 45 }), circuitOf('2')];
    render(
      <InJob view={{ ...hot, job: { ...hot.job, harness: { ...hot.job.harness, circuits } } }}>
        <DecideStage />
      </InJob>,
    );
    expect(screen.getByText(/The 45 A fuse does not protect this wire/)).toBeTruthy();
  });
});
