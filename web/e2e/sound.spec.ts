import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import config from '../playwright.config';
import { axeClean } from './axe';
import { address, saved, startOver } from './helpers';

const folder = mkdtempSync(join(tmpdir(), 'meandros-sound-'));
const file = (name: string) => join(folder, name);
/** The microphone hears a tone of 440 Hz, over and over. */
const microphone = file('microphone.wav');
execFileSync('sox', [
    '-n',
    '-r',
    '48000',
    '-b',
    '16',
    '-c',
    '1',
    microphone,
    'synth',
    '60',
    'sine',
    '440',
    'gain',
    '-12',
]);

const launch = config.use?.launchOptions;
test.use({
    launchOptions: {
        ...launch,
        args: [
            ...(launch?.args ?? []),
            '--use-fake-device-for-media-stream',
            '--use-fake-ui-for-media-stream',
            `--use-file-for-fake-audio-capture=${microphone}`,
            '--autoplay-policy=no-user-gesture-required',
        ],
    },
});

test.beforeEach(({ request }) => startOver(request));

interface Take {
    id: string;
    sound: string;
    milliseconds: number;
    voice: string;
    words: string;
}

async function takesOf(request: APIRequestContext, prompt: string): Promise<Take[]> {
    return (await (await request.get(`/api/plans/draft/elements/${prompt}`)).json()).takes;
}

/** Seconds and the frequency that is heard most, as SoX finds them. */
async function heard(request: APIRequestContext, { sound }: Take) {
    const wav = file(`${sound}.wav`);
    writeFileSync(wav, await (await request.get(`/api/sounds/${sound}.wav`)).body());
    const said = execFileSync('sh', ['-c', 'sox "$1" -n stat 2>&1', 'sh', wav]).toString();
    return {
        seconds: Number(execFileSync('soxi', ['-D', wav])),
        frequency: Number(/Rough\s+frequency:\s+(\d+)/.exec(said)?.[1]),
    };
}

const record = (page: Page) => page.getByRole('button', { name: 'Record in English …' });
const dialog = (page: Page) => page.getByRole('dialog');

/** Records for at least so many seconds, with the keyboard; gives the seconds that the page says it was. */
async function recordFor(page: Page, seconds: number): Promise<number> {
    await record(page).focus();
    await page.keyboard.press('Enter');
    await expect(dialog(page)).toContainText('Groups are looked after by Ines.');
    await expect(dialog(page).getByRole('button', { name: 'Start' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(dialog(page).getByRole('status')).toContainText('Read in 3');
    await expect
        .poll(async () => {
            const said = await dialog(page).getByRole('status').textContent();
            return Number(/Recording, (\d+) s/.exec(said ?? '')?.[1] ?? 0);
        })
        .toBeGreaterThanOrEqual(seconds);
    await page.keyboard.press('Enter');
    const status = dialog(page).getByRole('status');
    await expect(status).toContainText('Listen to it before you keep it');
    return Number(/Recorded, (\d+) s/.exec((await status.textContent()) ?? '')?.[1]);
}

test('a script is read into the microphone, listened to, and heard by callers', async ({ page, request }) => {
    await page.goto(address('/prompts/prm_groups'));
    const said = await recordFor(page, 4);
    await expect(dialog(page).locator('audio')).toHaveJSProperty('error', null);
    await dialog(page).getByLabel('Who reads').fill('Eleanor Marsh');
    await dialog(page).getByLabel('Note').fill('in the small room');
    await axeClean(page, '.ant-modal');
    await dialog(page).getByRole('button', { name: 'Keep this take' }).click();
    await expect(dialog(page)).toBeHidden();
    await expect(page.getByRole('radio', { name: 'Take 1 by Eleanor Marsh' })).toBeChecked();
    await expect(page.getByRole('status').filter({ hasText: 'Add a take of Groups' })).toBeVisible();
    const [take] = await takesOf(request, 'prm_groups');
    expect(take).toMatchObject({
        voice: 'Eleanor Marsh',
        words: 'Groups are looked after by Ines. We are ringing her now.',
    });
    const { seconds, frequency } = await heard(request, take as Take);
    expect(said).toBeGreaterThanOrEqual(4);
    expect(Math.abs(seconds - said)).toBeLessThan(1.5);
    expect(Math.abs(frequency - 440)).toBeLessThan(15);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('radio', { name: /Take 1/ })).toHaveCount(0);
});

test('a recording that cannot be sent is kept here and offered again', async ({ page, context, request }) => {
    await page.goto(address('/prompts/prm_groups'));
    await recordFor(page, 2);
    await context.setOffline(true);
    await dialog(page).getByRole('button', { name: 'Keep this take' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing is lost' })).toBeVisible();
    await context.setOffline(false);
    await page.reload();
    const kept = page.getByText(/was not sent. It is kept in this browser/);
    await expect(kept).toBeVisible();
    await page.getByRole('button', { name: 'Send it now' }).click();
    await expect(kept).toBeHidden();
    await expect(page.getByRole('radio', { name: 'Take 1' })).toBeChecked();
    expect(await takesOf(request, 'prm_groups')).toHaveLength(1);
});

test('files become takes, are compared and put back; what is no recording is refused in words', async ({
    page,
    request,
}) => {
    execFileSync('sox', ['-n', '-r', '44100', '-c', '2', file('low.wav'), 'synth', '4', 'sine', '300', 'gain', '-20']);
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', file('low.wav'), file('groups.mp3')]);
    execFileSync('sox', ['-n', '-r', '44100', file('high.flac'), 'synth', '5', 'sine', '600', 'gain', '-20']);
    writeFileSync(file('setup.wav'), `MZ${'\0'.repeat(400)}This program cannot be run in DOS mode.`);
    await page.goto(address('/prompts/prm_groups'));
    const choose = page.getByLabel('A recording in English');
    await choose.setInputFiles(file('groups.mp3'));
    await expect(page.getByRole('radio', { name: 'Take 1' })).toBeChecked();
    await choose.setInputFiles(file('high.flac'));
    await expect(page.getByRole('radio', { name: 'Take 2' })).toBeChecked();
    await expect(page.locator('.script').first()).toContainText('Callers hear it for 5 s');
    await page.getByRole('radio', { name: 'Take 1' }).focus();
    await page.keyboard.press('Space');
    await saved(page);
    await expect(page.locator('.script').first()).toContainText('Callers hear it for 4 s');
    const [first] = await takesOf(request, 'prm_groups');
    expect((await heard(request, first as Take)).frequency).toBeCloseTo(300, -1);
    await page.getByLabel('Note on take 2 in English').fill('too high');
    await page.getByLabel('Note on take 2 in English').press('Enter');
    await saved(page);
    await page.getByRole('button', { name: 'Remove take 2 in English' }).click();
    await saved(page);
    await page.getByRole('radio', { name: 'the machine voice, reading the script' }).first().check();
    await saved(page);
    await choose.setInputFiles(file('setup.wav'));
    await expect(page.getByRole('alert')).toContainText(
        '“setup.wav” cannot be read as a recording: it is application/',
    );
    expect(await takesOf(request, 'prm_groups')).toHaveLength(1);
});

test('a script that changes leaves its take behind, until somebody says that it still fits', async ({ page }) => {
    await page.goto(address('/prompts/prm_lost_closed'));
    const section = page.getByRole('region', { name: 'In English' });
    const notice = section.getByText('The take in use in English was recorded from other words');
    await expect(notice).toBeVisible();
    await expect(section.locator('.difference ins', { hasText: 'Friday' })).toBeVisible();
    await section.getByRole('button', { name: 'It still fits' }).click();
    await expect(notice).toBeHidden();
    await section.getByLabel('Script in English').fill('Lost property is closed.');
    await section.getByLabel('Script in English').blur();
    await expect(notice).toBeVisible();
    await expect(section.locator('.difference del').first()).toBeVisible();
});

test('whatever is named can be listened to, one at a time', async ({ page }) => {
    await page.goto(address('/journeys/jrn_main'));
    const listened: string[] = [];
    page.on('request', (one) => one.url().includes('/api/sounds/') && listened.push(one.url()));
    const welcome = page.getByRole('button', { name: 'Listen to Welcome' }).first();
    await welcome.click();
    await expect(page.getByRole('button', { name: 'Stop Welcome' }).first()).toHaveAttribute('aria-pressed', 'true');
    await expect.poll(() => listened.length).toBe(1);
    await page.getByRole('button', { name: 'Listen to Main menu' }).first().click();
    await expect(page.getByRole('button', { name: /^Stop / })).toHaveCount(1);
    await page.locator('[role="row"]', { hasText: 'Say Welcome' }).first().press('l');
    await expect(page.getByRole('button', { name: 'Stop Welcome' })).toBeVisible();
    await page.getByRole('button', { name: 'Stop Welcome' }).click();
    await expect(page.getByRole('button', { name: /^Stop / })).toHaveCount(0);
});

test('the whole call is listened to, as its caller hears it', async ({ page }) => {
    await page.goto(address('/', { to: '+441632960100' }));
    await page.getByRole('button', { name: 'Listen to the whole call' }).press('Enter');
    const heard = page.locator('.way li[aria-current="step"]');
    await expect(heard).toContainText('Hears “Welcome”');
    await expect(heard).toContainText('Main menu');
    await page.getByRole('button', { name: 'Stop listening' }).press('Enter');
    await expect(heard).toHaveCount(0);
});

test('a recording sheet goes out, and a ZIP finds its prompts', async ({ page, request }) => {
    execFileSync('sox', [
        '-n',
        '-r',
        '8000',
        '-b',
        '16',
        file('public-holiday.en.wav'),
        'synth',
        '6',
        'sine',
        '500',
        'gain',
        '-20',
    ]);
    execFileSync('sox', [
        '-n',
        '-r',
        '8000',
        '-b',
        '16',
        file('holiday.wav'),
        'synth',
        '6',
        'sine',
        '500',
        'gain',
        '-20',
    ]);
    const zip =
        '$z = new ZipArchive(); $z->open($argv[1], 1); foreach (array_slice($argv, 2) as $f) $z->addFile($f, basename($f));';
    execFileSync('php', ['-r', zip, file('studio.zip'), file('public-holiday.en.wav'), file('holiday.wav')]);
    await page.goto(address('/recordings'));
    const table = page.getByRole('region', { name: 'Recordings', exact: true });
    await expect(table.getByRole('status')).toContainText(/^6\d scripts/);
    await expect(table.getByRole('link', { name: 'Keep as PDF' })).toHaveAttribute(
        'href',
        /recording-sheet.pdf\?what=missing/,
    );
    await page.getByLabel('Recordings', { exact: true }).and(page.locator('input')).setInputFiles(file('studio.zip'));
    const bring = page.getByRole('region', { name: 'Bring recordings in' });
    await expect(bring).toContainText('1 of 2 files find their place.');
    await expect(bring.getByRole('listitem').first()).toContainText(
        'public-holiday.en.wav → Public holiday in English',
    );
    await bring.getByRole('button', { name: 'Make takes of it' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'is done: Bring in a take' })).toBeVisible();
    expect(await takesOf(request, 'prm_holiday')).toHaveLength(1);
});

test('a blank is put into a script, filled in the call, and its parts are recorded one by one', async ({
    page,
    request,
}) => {
    await page.goto(address('/prompts/prm_groups'));
    const script = page.getByLabel('Script in English');
    await script.fill('Groups are looked after by Ines, who is back ');
    await script.press('End');
    await page.getByRole('button', { name: 'Put in a blank …' }).first().press('Enter');
    await page.getByRole('menuitem', { name: /when it opens next/ }).click();
    await expect(script).toHaveValue('Groups are looked after by Ines, who is back {opening}');
    await saved(page);
    await page.getByLabel('Hours of which {opening} tells').click();
    await page.getByTitle('Bookings hours').click();
    await saved(page);
    expect((await (await request.get('/api/plans/draft/elements/prm_groups')).json()).hours).toBe('hrs_bookings');
    await page.getByRole('button', { name: 'Record in English …' }).click();
    await expect(dialog(page).locator('p').first()).toHaveText('Groups are looked after by Ines, who is back');
    await page.keyboard.press('Escape');
    await script.fill('Back {openning}.');
    await script.blur();
    await expect(page.getByRole('alert').filter({ hasText: 'Braces stand for blanks only' }).last()).toBeVisible();
    await axeClean(page);
});

test('what filled a blank stands in the call, and changes with the day', async ({ page }) => {
    const at = (date: string) => address('/', { to: '+441632960290', at: `${date}T22:00:00` });
    await page.goto(at('2026-11-23'));
    await expect(page.getByText('It says “tomorrow at half past eight” for {opening}.')).toBeVisible();
    await page.getByRole('button', { name: 'Listen to the whole call' }).click();
    await expect(page.locator('circle.head')).toBeVisible();
    await page.getByRole('button', { name: 'Stop listening' }).click();
    await page.goto(at('2026-11-27'));
    await expect(page.getByText('It says “tomorrow at nine” for {opening}.')).toBeVisible();
});
