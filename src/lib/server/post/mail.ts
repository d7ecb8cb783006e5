import MailComposer from 'nodemailer/lib/mail-composer/index.js';

export interface Attachment {
	readonly filename: string;
	readonly contentType: string;
	readonly content: Uint8Array | string;
}
/** An e-mail as it is written here; its text alone is enough to read it. */
export interface Mail {
	readonly id: string;
	readonly from: { readonly name: string; readonly address: string };
	/** Blank is nobody yet: it is kept to be copied. */
	readonly to: { readonly name: string; readonly address: string };
	readonly subject: string;
	/** Paragraphs, in plain text. */
	readonly text: string;
	readonly at: Date;
	readonly attachments?: readonly Attachment[];
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.codePointAt(0)};`);

/** Paragraphs as HTML, with addresses that can be pressed. */
const asHtml = (text: string): string =>
	text
		.split(/\n{2,}/)
		.map((p) => {
			const lines = escaped(p).replace(/https?:\/\/[^\s<]+/g, (url) => `<a href="${url}">${url}</a>`);
			return `<p>${lines.replaceAll('\n', '<br>')}</p>`;
		})
		.join('\n');

/** An e-mail as it would arrive: RFC 5322 with text, HTML and what is attached. Line breaks in names and subjects are taken out. */
export async function compose({ id, from, to, subject, text, at, attachments = [] }: Mail): Promise<string> {
	const plain = (value: string) => value.replace(/\s+/g, ' ').trim();
	const composer = new MailComposer({
		from: { name: plain(from.name), address: plain(from.address) || 'studio@example.invalid' },
		...(to.address ? { to: { name: plain(to.name), address: plain(to.address) } } : {}),
		subject: plain(subject),
		text,
		html: asHtml(text),
		date: at,
		messageId: `<${id}@bright-tally.invalid>`,
		// The same message is the same text, however often it is written.
		baseBoundary: id.replace(/[^\w]/g, ''),
		attachments: attachments.map(({ filename, contentType, content }) => ({
			filename,
			contentType,
			content: typeof content === 'string' ? content : Buffer.from(content)
		}))
	});
	return (await composer.compile().build()).toString('utf8');
}
