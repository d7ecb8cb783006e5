import PostalMime from 'postal-mime';

/** An e-mail as a mail program shows it. */
export interface ReadMail {
	readonly from: string;
	readonly to: string;
	readonly subject: string;
	readonly text: string;
	/** Names of what is attached. */
	readonly attachments: readonly string[];
}

/** Reads a whole message: its text alone is shown, so nothing in it can run. */
export async function readMail(mime: string): Promise<ReadMail> {
	const mail = await PostalMime.parse(mime);
	const named = (who: { name?: string; address?: string } | undefined) =>
		who ? `${who.name ?? ''} <${who.address ?? ''}>`.trim() : '';
	return {
		from: named(mail.from),
		to: (mail.to ?? []).map(named).join(', '),
		subject: mail.subject ?? '',
		text: (mail.text ?? '').trim(),
		attachments: mail.attachments.map((a) => a.filename ?? 'a file')
	};
}
