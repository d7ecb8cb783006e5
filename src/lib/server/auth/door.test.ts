import { describe, expect, test } from 'vitest';
import { codeAt, fromBase32 } from '../../../../tests/kit/one-time-code.ts';
import { tempStudio } from '../../../../tests/kit/temp-db.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { guestOf } from '../actor.ts';
import { createRepos } from '../repos/index.ts';
import { openAuth } from './auth.ts';
import { openDoor } from './door.ts';
import { newToken } from '../new-token.ts';
import { resetLetter } from './letters.ts';
import { LIMITS, openThrottle, waitWords } from './throttle.ts';

const PASSWORD = 'orange buoy, gull white';
const OTHER = 'kelp column, two jellyfish';
const TANSY = { name: 'Tansy', email: 'tansy@puddlelark.example', password: PASSWORD };

async function studio({
	setupCode,
	origin = 'http://127.0.0.1:4173'
}: { setupCode?: string; origin?: string } = {}) {
	const { db, repos } = await tempStudio();
	const letters = new Map<string, string>();
	const auth = openAuth({
		db,
		secret: 'a key of at least thirty-two letters',
		origin,
		letter: (letter) => resetLetter(db, letters.get(letter.person.email) ?? origin, letter)
	});
	return { db, repos, door: openDoor({ db, auth, throttle: openThrottle(), setupCode, letters }) };
}

/** A browser: it keeps its cookies from one request to the next. */
function browser(address = '192.0.2.7') {
	const jar = new Map<string, string>();
	const flags = new Map<string, object>();
	const cookies = {
		set: (name: string, value: string, options: object) => {
			if ((options as { maxAge?: number }).maxAge === 0) jar.delete(name);
			else jar.set(name, value);
			flags.set(name, options);
		}
	};
	return {
		flags,
		jar,
		/** The next request. */
		get event() {
			const cookie = [...jar].map(([n, v]) => `${n}=${encodeURIComponent(v)}`).join('; ');
			const url = new URL('http://127.0.0.1:4173/sign-in');
			const request = new Request(url, { headers: { cookie, 'user-agent': 'Mozilla/5.0 Mobile' } });
			return { request, url, cookies, getClientAddress: () => address } as never;
		}
	};
}

describe('a studio and its door', () => {
	test('the first is its owner, once; then it is signed in and out of, and cookies are for the server alone', async () => {
		const { door } = await studio();
		const tansy = browser();
		expect(await door.isUnclaimed()).toBe(true);
		expect(await door.who(tansy.event)).toBeNull();
		expect(await door.begin(tansy.event, TANSY, '')).toEqual({ ok: true });
		expect(await door.isUnclaimed()).toBe(false);
		expect(await door.who(tansy.event)).toEqual({
			actor: { workspace: 'home', person: 'owner', role: 'owner' },
			name: 'Tansy',
			email: TANSY.email,
			secondStep: false
		});
		for (const flags of tansy.flags.values())
			expect(flags).toMatchObject({ httpOnly: true, sameSite: 'lax' });
		expect(await door.begin(browser().event, { ...TANSY, email: 'late@quay.example' }, '')).toMatchObject({
			ok: false
		});
		await door.leave(tansy.event);
		expect(await door.who(tansy.event)).toBeNull();
		expect(await door.enter(tansy.event, TANSY.email, PASSWORD)).toEqual({ ok: true });
		expect((await door.who(tansy.event))?.name).toBe('Tansy');
	});

	test('behind https the cookies are secure', async () => {
		const { door } = await studio({ origin: 'https://tally.example' });
		const tansy = browser();
		await door.begin(tansy.event, TANSY, '');
		const session = [...tansy.flags].find(([name]) => name.endsWith('session_token'))!;
		expect(session[0]).toMatch(/^__Secure-/);
		expect(session[1]).toMatchObject({ secure: true, httpOnly: true });
	});

	test('where others are let in, the first shows the code of the server', async () => {
		const { door } = await studio({ setupCode: 'tide-gauge' });
		expect(await door.begin(browser().event, TANSY, 'guess')).toMatchObject({ ok: false });
		expect(await door.begin(browser().event, TANSY, ' tide-gauge ')).toEqual({ ok: true });
	});

	test('a wrong password and an unknown address are answered alike; after ten the account waits, whoever asks', async () => {
		const { door } = await studio();
		await door.begin(browser().event, TANSY, '');
		const wrong = await door.enter(browser().event, TANSY.email, 'orange buoy, gull black');
		expect(await door.enter(browser().event, 'nobody@quay.example', PASSWORD)).toEqual(wrong);
		for (let i = 0; i < LIMITS.account.points; i++)
			await door.enter(browser(`192.0.2.${i}`).event, TANSY.email, 'orange buoy, gull black');
		const waits = await door.enter(browser('198.51.100.9').event, TANSY.email, PASSWORD);
		expect(waits).toMatchObject({
			ok: false,
			say: expect.stringMatching(/too often\. Try again in 1\d minutes\./) as string
		});
	}, 60_000);

	test('guesses that come all at once are counted as they come: no more than ten are looked at', async () => {
		const { door } = await studio();
		await door.begin(browser().event, TANSY, '');
		const guesses = Array.from({ length: 30 }, (_, i) =>
			door.enter(browser(`192.0.2.${i}`).event, TANSY.email, `orange buoy, gull ${i}`)
		);
		const said = (await Promise.all(guesses)).map((done) => (done.ok ? '' : done.say));
		expect(said.filter((say) => /is not right/.test(say))).toHaveLength(LIMITS.account.points);
		expect(said.filter((say) => /too often/.test(say))).toHaveLength(20);
	}, 60_000);

	test('an address that fails at many accounts waits, and others do not', async () => {
		const { door } = await studio();
		await door.begin(browser().event, TANSY, '');
		const guesser = '203.0.113.5';
		await Promise.all(
			Array.from({ length: LIMITS.address.points }, () => door.throttle.take('address', guesser))
		);
		expect(await door.enter(browser(guesser).event, TANSY.email, PASSWORD)).toMatchObject({ ok: false });
		expect(await door.enter(browser('203.0.113.6').event, TANSY.email, PASSWORD)).toEqual({ ok: true });
	});

	test('an invitation lets in once, as what it says; ended or too old it lets nobody in', async () => {
		const { door, repos } = await studio();
		await door.begin(browser().event, TANSY, '');
		const token = newToken();
		const now = new Date();
		const later = new Date(now.getTime() + 60_000);
		await repos.people.invite({ id: 'i', name: 'Pip', role: 'crew', expiresAt: later }, token, now);
		const pip = browser();
		const joins = { name: 'Pip', email: 'pip@puddlelark.example', password: OTHER };
		expect(await door.join(pip.event, 'x', joins)).toMatchObject({ ok: false });
		expect(await door.join(pip.event, token, { ...joins, email: TANSY.email })).toMatchObject({ ok: false });
		expect(await door.join(pip.event, token, joins)).toEqual({ ok: true });
		expect((await door.who(pip.event))?.actor).toMatchObject({ workspace: 'home', role: 'crew' });
		expect(await door.join(browser().event, token, { ...joins, email: 'two@quay.example' })).toMatchObject({
			ok: false
		});

		const [old, ended] = [newToken(), newToken()];
		await repos.people.invite({ id: 'old', name: 'Moss', role: 'crew', expiresAt: now }, old, now);
		await repos.people.invite({ id: 'ended', name: 'Moss', role: 'crew', expiresAt: later }, ended, now);
		await repos.people.endInvitation('ended', now);
		expect([await door.invitation(old), await door.invitation(ended)]).toEqual([undefined, undefined]);
	});

	test('whoever is let in no more is out at once, cannot come back, and can be invited again', async () => {
		const { door, repos } = await studio();
		await door.begin(browser().event, TANSY, '');
		const [token, again] = [newToken(), newToken()];
		const now = new Date();
		const later = new Date(now.getTime() + 60_000);
		const joins = { name: 'Pip', email: 'pip@puddlelark.example', password: OTHER };
		await repos.people.invite({ id: 'i', name: 'Pip', role: 'crew', expiresAt: later }, token, now);
		const pip = browser();
		await door.join(pip.event, token, joins);
		const { person } = (await door.who(pip.event))!.actor;
		expect(await repos.people.end(person, now)).toBeNull();
		expect(await door.who(pip.event)).toBeNull();
		expect(await door.enter(pip.event, joins.email, OTHER)).toMatchObject({ ok: false });
		await repos.people.invite({ id: 'again', name: 'Pip', role: 'office', expiresAt: later }, again, now);
		expect(await door.join(pip.event, again, { ...joins, password: PASSWORD })).toEqual({ ok: true });
		expect((await door.who(pip.event))?.actor).toMatchObject({ person, role: 'office' });
	});

	test('a new password by a letter: the link holds once, and signs out everywhere', async () => {
		const { door, repos } = await studio();
		const tansy = browser();
		await door.begin(tansy.event, TANSY, '');
		expect(await door.askReset(browser().event, 'nobody@quay.example')).toEqual({ ok: true });
		expect(await repos.people.letters()).toEqual([]);
		expect(await door.askReset(browser().event, TANSY.email)).toEqual({ ok: true });
		const [letter] = await repos.people.letters();
		expect(letter).toMatchObject({ to: TANSY.email });
		const token = /http:\/\/127\.0\.0\.1:4173\/reset\/([\w-]+)/.exec(letter!.body)![1]!;
		expect(await door.reset(browser().event, `${token}x`, OTHER)).toMatchObject({ ok: false });
		expect(await door.reset(browser().event, token, OTHER)).toEqual({ ok: true });
		expect(await door.reset(browser().event, token, PASSWORD)).toMatchObject({ ok: false });
		expect(await door.who(tansy.event)).toBeNull();
		expect(await door.enter(browser().event, TANSY.email, PASSWORD)).toMatchObject({ ok: false });
		expect(await door.enter(browser().event, TANSY.email, OTHER)).toEqual({ ok: true });
	});

	test('letters are asked for three times an hour at most, and that looks the same', async () => {
		const { door, repos } = await studio();
		await door.begin(browser().event, TANSY, '');
		for (let i = 0; i < 5; i++)
			expect(await door.askReset(browser().event, TANSY.email)).toEqual({ ok: true });
		expect(await repos.people.letters()).toHaveLength(3);
	});

	test('sessions are listed, and ended one by one or all but one; another password ends the others', async () => {
		const { door } = await studio();
		const [one, two, three] = [browser(), browser(), browser()];
		await door.begin(one.event, TANSY, '');
		for (const b of [two, three]) await door.enter(b.event, TANSY.email, PASSWORD);
		const all = await door.sessions(one.event);
		expect(all.map((s) => s.isThis)).toEqual([true, false, false]);
		expect(all[0]).toMatchObject({ address: '192.0.2.7' });
		const own = (await door.sessions(two.event))[0]!;
		await door.endSession(one.event, own.id);
		expect([await door.who(two.event), (await door.who(three.event))?.name]).toEqual([null, 'Tansy']);
		await door.endOtherSessions(one.event);
		expect(await door.who(three.event)).toBeNull();
		await door.enter(three.event, TANSY.email, PASSWORD);
		expect(await door.changePassword(one.event, 'not mine at all', OTHER)).toMatchObject({ ok: false });
		expect(await door.changePassword(one.event, PASSWORD, OTHER)).toEqual({ ok: true });
		expect([(await door.who(one.event))?.name, await door.who(three.event)]).toEqual(['Tansy', null]);
	});

	test('a second step: a key as a program reads it, codes of RFC 6238, spare codes good once', async () => {
		const { door } = await studio();
		const tansy = browser();
		await door.begin(tansy.event, TANSY, '');
		expect(await door.startSecondStep(tansy.event, OTHER)).toMatchObject({ ok: false });
		const begun = await door.startSecondStep(tansy.event, PASSWORD);
		if (!begun.ok) throw new Error(begun.say);
		// Until a first code was right, nothing is asked.
		expect(await door.enter(browser().event, TANSY.email, PASSWORD)).toEqual({ ok: true });
		const key = fromBase32(new URL(begun.uri).searchParams.get('secret')!);
		const code = () => codeAt(key, Date.now() / 1000);
		expect(await door.confirmSecondStep(tansy.event, '000000')).toMatchObject({ ok: false });
		expect(await door.confirmSecondStep(tansy.event, code())).toEqual({ ok: true });

		const again = browser();
		expect(await door.enter(again.event, TANSY.email, PASSWORD)).toEqual({ ok: true, code: true });
		expect(await door.who(again.event)).toBeNull();
		expect(await door.code(again.event, '123')).toMatchObject({ ok: false });
		expect(await door.code(again.event, begun.spare[0]!)).toEqual({ ok: true });
		expect((await door.who(again.event))?.secondStep).toBe(true);
		const third = browser();
		await door.enter(third.event, TANSY.email, PASSWORD);
		expect(await door.code(third.event, begun.spare[0]!)).toMatchObject({ ok: false });
		expect(await door.stopSecondStep(again.event, PASSWORD)).toEqual({ ok: true });
		expect(await door.enter(browser().event, TANSY.email, PASSWORD)).toEqual({ ok: true });
	});

	test('somebody of one studio is nobody in another, and its owner cannot touch them', async () => {
		const { db, door, repos } = await studio();
		await door.begin(browser().event, TANSY, '');
		const other = createRepos(db, { ...guestOf('elsewhere'), person: 'moss', role: 'owner' });
		await other.workspaces.create(settings, new Date());
		const joins = {
			id: 'moss',
			name: 'Moss',
			email: 'moss@quay.example',
			role: 'owner',
			passwordHash: 'x'
		} as const;
		expect(await other.people.addFirst(joins, new Date())).toBe(true);
		expect(await other.people.setRole('owner', 'crew', new Date())).toBe('unknown');
		expect(await repos.people.end('moss', new Date())).toBe('unknown');
		expect((await repos.people.list(new Date())).map((p) => p.name)).toEqual(['Tansy']);
		expect(await repos.people.setRole('owner', 'crew', new Date())).toBe('last owner');
		expect(await repos.people.end('owner', new Date())).toBe('last owner');
	});
});

test('codes of this kit are those of RFC 6238, appendix B', () => {
	const key = Buffer.from('12345678901234567890');
	const of = (at: number) => codeAt(key, at, 8);
	expect([of(59), of(1111111109), of(1111111111), of(1234567890), of(2000000000), of(20000000000)]).toEqual([
		'94287082',
		'07081804',
		'14050471',
		'89005924',
		'69279037',
		'65353130'
	]);
});

test('a wait is said in minutes', () => {
	expect([waitWords(1), waitWords(60), waitWords(61), waitWords(899)]).toEqual([
		'in a minute',
		'in a minute',
		'in 2 minutes',
		'in 15 minutes'
	]);
});
