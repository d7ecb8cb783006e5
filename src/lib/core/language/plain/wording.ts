import { SPOKEN } from '../tokens.ts';

/** A number that names a bag: “11s”, “elevens”. */
export const BAG = '§';
/** Inches behind a number. */
export const INCH = '″';

const FRACTIONS: Readonly<Record<string, string>> = { '½': '.5', '¼': '.25', '¾': '.75', '⅛': '.125', '⅜': '.375', '⅝': '.625', '⅞': '.875' }; // prettier-ignore
const TENS: Readonly<Record<string, number>> = { twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, seventy: 70, eighty: 80, ninety: 90 }; // prettier-ignore
const PLURAL =
	/^(?:fives|sixes|nines|tens|elevens|twelves|sixteens|eighteens|fours|threes|twos|thirty-sixes|twenty-fours|eights|sevens)$/;
/** Words said besides what is meant. */
const FILLERS = [
	/^(?:make|do|build|give|get) (?:me|us)\b/,
	/^(?:please|now|next|then|and|so|ok|okay|right|well|also|plus|first|last|lastly|finally|add|put|place|take|use|make|do|stack up|stack|build up|build|start with|begin with|finish with|end with|top it (?:off )?with|cap it with|crown it with|followed by)\b[:,]?/,
	/^(?:topped|crowned|capped|finished)(?: off)? (?:with|by)\b/,
	/^(?:an? )?(?:collar|base|topper|foot|head|neck|ring),(?= )/,
	/^(?:throw|chuck|pop|stick|slip|drop) (?:in|on)(?= (?:\d|an? ))/,
	/^(?:on|at) the (?:floor|ground|bottom|foot),?(?= (?:\d|an? ))/,
	/^(?:on|over|above|onto) (?:that|it|this|those|them|these|top(?: of (?:that|it|those|them))?),? (?:go(?:es)?|comes?|sits?|stands?|is|are|put|we (?:put|have))(?= (?:\d|an? ))/,
	/^(?:then|next|above),? (?:go(?:es)?|comes?|follows?)(?= (?:\d|an? ))/,
	/^(?:give|get) (?:it|this|them)(?= an? |\s\d)/,
	/^(?:this|that|it)(?: (?:1|one))? (?:needs|wants|takes|gets|has|must have|should have)(?= an? | \d)/,
	/ for (?!spiral|rings?\b|rows?\b|layers?\b)[a-z]+$/g,
	/^(?:an? )?(?:ruffle|skirt|frill|cuff|band|belt|necklace|wreath) of\b/,
	/^[a-z]+ it (?:down|up|in place) with(?= \d)/,
	/ (?:round|around) (?:the )?(?!left|right|front|back)[a-z]+$/g,
	/^(?:for |as |on )?(?:(?:the|my|our) )?(?!quads?\b|pairs?\b|duplets?\b|triplets?\b|quints?\b|no\b|not\b|without\b|spiral|rings?\b|checker|gradient|weight|size|step|note|section|part|frame|run|bunch|form|weave|line|pole|stick|mast|arch|the\b)[a-z]+: (?=.*[§″])/,
	/^for (?:the|my|our) (?!row\b)[a-z]+, /,
	/^(?:hide|cover|dress|soften|mask) (?:the )?[a-z]+(?: [a-z]+)? with(?= \d)/,
	/^(?:it )?(?:takes|wants|needs|uses|gets)(?= (?:\d|an? ))/,
	/^(?:above|over|on top of) (?:that|it|those|them|these)\b,?/,
	/^(?:carry on|go up|go on|keep going|continue|follow) with\b/,
	/(?<=rows|layers|clusters|levels) in all\b/g,
	/^repeat(?= (?:an?|1) (?:quad|pair|duplet|triplet|quint|cluster))/,
	/^(?:every|each) (?:cluster|row|layer|ring)(?: has| is| of| gets)?(?= \d)/,
	/^(?:i want|id like|i'd like|i would like|i'll have|ill have|i'll take|give me|let me have|let me do|may i have|can i have|could i have|i'll do|i will have|let's have|lets have|let's do|lets do|we need|i need|we want|we'll have|there is|there are|it has|it gets|it needs)\b/,
	/^(?:the )?(?:bottom|base|top|topper|collar|foot|head|middle|body|column|pillar|crown|neck)(?: row| layer| section)?\b:?(?: of| is| has)?\b,?/,
	/^(?:a|1) (?:layer|row|ring|level) of\b/,
	/^(?:an? )?(?:stack|column|pillar|tower|pile|bouquet|bunch|set) of\b/,
	/^(?:we|i|you|they) (?:always |usually |normally )?(?:use|do|take|put|make|have|want|need|like)\b/,
	/\b(?:here|on this one|for this one|this time|as usual|as always|like last time|thereof)$/,
	/\b(?:a )?ring of(?= \d)/g,
	/\b(?:please|big|giant|huge|jumbo|large|small|little|nice|plain|ordinary|normal|regular|in total|altogether|each|apiece|exactly|thanks|thank you|more or less|give or take)\b/g,
	/\bof (?:them|the|those|it)\b/g,
	/\b(?:latex )?balloons?\b/g,
	/\blatex\b/g,
	/(?<=\d)\s?(?:no|pcs|pieces?|off)\b\.?(?: of\b)?/g,
	/\b(?:roughly|about|around|approx(?:imately)?\.?|ca\.?|nearly|almost|say)(?= \d)/g,
	/\bones?\b(?=\s*(?:at\b|$|,))/g,
	/(?<=[a-z]) 1s?\b(?=\s*(?:at\b|$|,))/g,
	/\b(?:for|as) (?:the|an?|my|its) (?:base|foot|bottom|collar|topper|head|top|body|middle|neck|crown|legs?|feet)\b/g,
	/\b(?:over|around|round|across|for|in front of) (?:the|an?|our) (?:door(?:way)?|entrance|stage|gate|head table|window|altar|steps|porch)\b,?/g,
	/\brepeat(?= \d+ sets)/g,
	/\b(?:round|around|at) (?:the|its) (?:neck|collar|waist|foot|feet|edge)\b/g,
	/^[:,\s]+|[,\s]+$/g,
	/\b(?:topper|collar)\b/g,
	/\bto (?:finish|end|close|start|begin|top|cap|crown)(?: (?:it|with|off))*$/g,
	/\bon (?:those|these|that|it|them)\b/g,
	/\b(?:on (?:the )?top|above (?:that|it|them|those)|over (?:that|it|them|those)|on top of (?:that|it|them|those))\b/g
];

const HIGH = /,? ?\b(\d+) (?:high|deep|levels?|tiers?|storeys?|courses?)\b/g;

/** Words that mean others, as those. */
const SAME: readonly (readonly [RegExp, string])[] = [
	[/^(\d+) more (?=\d+(?:§|″| ).*\bat\b)/g, '$1 '],
	[/^(\d+) ?\/ ?(\d+)§? (?=[a-z])/g, '$1 $2§ '],
	[/(?<=\d″.*)\b(\d+)″ balloons?\b/g, '$1§'],
	[/\bevery (?:other|second) (?:balloon|1) (?:is |in )?([a-z]+),? (?:and )?(?:otherwise|the rest|the others?|rest|others) (?:is |are |in )?([a-z]+)\b/g, '$2 and $1'],
	[/^((?:1|an?) (?:single )?(?:big|large|giant|huge) (?:1|balloon)\b[^\d]*)\b2 ft\b/g, '$1 24§'],
	[/^((?:1|an?) (?:single )?(?:big|large|giant|huge) (?:1|balloon)\b[^\d]*)\b3 ft\b/g, '$1 36§'],
	[/^(?:smaller |bigger |wider |narrower )?(?:on (?:the )?top|next|then|above|after that|up there|last): (?=.*\d)/g, ''],
	[/^(?:also )?(?:bring|take|pack) (?:along )?(\d+ .+?),? (?:along|with (?:us|you|me|it)|just in case)(?:,? just in case)?$/g, '$1 taken along'],
	[/\b(panel|wall|ring|net|base|basket|honeycomb) (?:made )?(?:from|out of|with) (?=\d)/g, '$1 of '],
	[/\b(?:tie|hold|fix|fasten|bind|secure) (?:all )?(?:the )?(?:joints|knots|crossings) with\b/g, 'joined with'],
	[/^(take .+ off) again$/g, '$1'],
	[/^stick (?=\d|an? )/g, 'put '],
	[/,? ?\b(?:(?:1|a) colou?r (?:per|a|to (?:a|each|every)) (?:layer|row)|(?:a|1) (?:layer|row) (?:per|of each|in each|to each) colou?r|(?:each|every) (?:layer|row) (?:a|in a|in its) (?:different |own |new )?colou?r(?: of its own)?)\b/g, ' rings'],
	[/(?<=\d(?:§|″)), (\d+(?:\.\d+)?)″(?=,|$)/g, ' at $1'],
	[/^(?:stack (?:up )?|build (?:up )?)?(\d+) ([a-z]+(?:(?:, [a-z]+)*,? and [a-z]+)) (spiral|swirl|checker|stripe)(?:ed)? (quads|pairs|triplets|quints|clusters) of (\d+§.*)$/g, '$1 $4 of $5 $3 $2'],
	[/^alternat(?:e|ing) ([a-z]+(?: [a-z]+)?) (?:rows?|layers?)(?:,| and|, and) ([a-z]+(?: [a-z]+)?) (?:rows?|layers?),? (.*)$/g, 'rings $1 and $2, $3'],
	[/(?<=\b(?:spiral|quads?|checker)\b.*§.*), (\d+(?:\.\d+)? ft)(?: tall| high)?$/g, ' up to $1'],
	[/,? \bwhere (\d+) (?:is|are) ([a-z]+)(?:,| and|, and) (\d+|an?) (?:is|are) ([a-z]+)/g, ', $1 $2 and $3 $4'],
	[/, side by side$/g, ''],
	[/^(\d+ [a-z]+(?:,| and|, and) (?:\d+|an?) [a-z]+) (?:in|to|per) (?:every|each|a) (quad|quint|triplet|cluster),? (.+)$/g, '$2 of $3, $1'],
	[/ (\d+) only$/g, ' only $1'],
	[/[()]/g, ' , '],
	[/\b(\d+) more (?=(?:clusters|quads|pairs|triplets)\b.*§)/g, '$1 '],
	[/(?<=\bquads?\b.*),? 2 of each(?: colou?r)?\b/g, ''],
	[/\bhorizontal (?=stripe)/g, ''],
	[/(?<=^[^,]*\d[^,]*),? (?:and )?not \d+(?: rows| layers)?$/g, ''],
	[/^(.*\d§.*?),? (?:and )?([^,]*\d§.*?),? (?:50 50|50 ?\/ ?50|half and half|half half|in equal parts|equally)$/g, '50 % $1, 50 % $2'],
	[/\b(?:that|which) runs?(?: for)? |\brunning (?=\d)/g, ''],
	[/^(\d+(?:\.\d+)? ft) of (pole|stick|mast)$/g, '$1 $2'],
	[/^(?:about|around|roughly|some|nearly) (?=\d)/g, ''],
	[/\bdoorway of tube\b|\btube doorway\b/g, 'door'],
	[/\blet (?:a (?:little|bit)(?: of)?|some)(?: more)? air out(?: of)?\b/g, 'a bit smaller'],
	[/\b(?:put |blow )?(?:a (?:little|bit)(?: of)?|some) (?:more )?air in(?:to)?\b/g, 'a bit bigger'],
	[/\bhalf (?:of )?(?:the|each|every|a) (?:cluster|row|layer|ring) ([a-z]+),? (?:and )?(?:the other )?half (?:of it )?([a-z]+)\b/g, '$1 and $2'],
	[/\b(\d+(?:\.\d+)? (?:ft|m|cm)) in height\b/g, '$1 high'],
	[/\b(\d+(?:\.\d+)? (?:ft|m|cm)) in (?:width|length)\b/g, '$1 wide'],
	[/, (?:an?|1) (?:hook|pin|tie) (?=every\b)/g, ' '],
	[/^(.+?) (?:for|makes? up|is) (\d+ ?%),? (?:and )?(?:the )?(?:other |remaining )?(\d+ ?% .+)$/g, '$2 $1, $3'],
	[/^(?:this|that|the)(?: (?:1|one|piece|thing|run|garland))? (?=(?:lies|goes|stands|hangs|is) (?:on|along|against|from)\b)/g, 'it '],
	[/\b([2-9]|1[0-2])[- ]packs?\b(?: of)?/g, 'cluster of $1 '],
	[/\b2[- ]?footers?\b/g, '24″'],
	[/\b3[- ]?footers?\b/g, '36″'],
	[/\b(\d+) clusters?,? (?:each|every 1)(?: of(?: them)?)?(?: is| has| of| with)? (\d+)\b(?!§)/g, '$1 clusters of $2'],
	[/\b\d+ colou?rs?[,:] /g, ''],
	[/\benough (?:for|to (?:make|get to|reach)) (\d+(?:\.\d+)? ft)\b/g, 'up to $1'],
	[/\bevery (?:foot|ft)\b(?! and)/g, 'every 1 ft'],
	[/\b(?:pre-?)?stretched(?: and)?\b/g, ''],
	[/\b(?:deflated|let (?:back )?down|brought down|taken down|sized down|reduced) to (?=\d)/g, 'at '],
	[/^rows? (\d+) (?:to|through) (\d+)(?: are| is|:)? (?=.*[§″])/g, '§$1-$2 '],
	[/(?<=\d§.*)\b(?:tucked|squeezed|pushed|wedged|nestled|popped)(?: in)? (?:around|round|about|underneath|below|beneath)(?: it)?\b/g, ''],
	[/(?<=[a-z])\ball(?: just)? slides? onto\b/g, 'on'],
	[/^(?:it )?(?:all )?(?:slides?|goes|fits|threads?) (?:on to|onto|over|on) (?=an? .*\b(?:pole|mast|stick)\b)/g, 'on '],
	[/\b(\d+) x (5|9|11|12|16|17|18|24|36)(?= (?:at|in) )/g, '$1 $2§'],
	[/\b(?:an?|the) (?:pole|stick) of (\d+(?:\.\d+)? ft)\b/g, 'a $1 pole'],
	[/\bthat(?:s| is) (?=\d)/g, ''],
	[/\b([a-z]+) \d+§ at \S+ and ([a-z]+) (\d+§ at \S+?)(?=,)(?=.*\b(?:every other|alternat|in turn))/g, '$1 and $2, $3'],
	[/\balternating (?=\d)/g, 'rings, '],
	[/\bhalf a dozen\b/g, '6'],
	[/\barchway\b/g, 'arch'],
	[/(\d)\s*met(?:re|er)s?\b/g, '$1 m'],
	[/\b2 ft (?=(?:[a-z]+ )?balloons?\b)/g, '24§ '],
	[/\b3 ft (?=(?:[a-z]+ )?balloons?\b)/g, '36§ '],
	[/(?<=[a-z] )(?<!\b(?:at|of|x|to) )(11|12|16|17|18|24|36) (?=(?:quad|pair|duplet|triplet|quint)s?\b)/g, '$1§ '],
	[/\b1 (?:row|layer) (?:of |in )?([a-z]+),? (?:and )?then 1 (?:row|layer) (?:of |in )?([a-z]+)/g, 'rings $1 and $2'],
	[/\ball the way(?: up)? to\b/g, 'up to'],
	[/\b(?:until|till?) (?:we|it|you|they) (?:hits?|gets? to|comes? to)\b/g, 'up to'],
	[/(?<!\b(?:at|to) )\b(\d+) (?:a|per|to (?:a|each|every)|in (?:a|each|every)|on (?:a|each|every)) (?:row|layer|ring|tier|level|cluster)\b(?:(?<=[§″].*)|(?=.*[§″]))/g, 'cluster of $1'],
	[/\b(?:per|in (?:each|every)|to (?:each|every)|for (?:each|every)) (?:row|layer|ring|cluster|tier)\b(?:(?<=[§″].*)|(?=.*[§″]))/g, ''],
	[/^(?:rows|layers|rings|levels) of (\d+)\b(?![§″]):?/g, 'clusters of $1'],
	[/, (\d+) clusters$/g, ' $1 layers'],
	[/^(\d+) by (?=\d+(?:\.\d+)?(?:″|§))/g, '$1 '],
	[/\b(\d+) x (?=(?:quads?|pairs?|duplets?|triplets?|quints?|clusters?)\b)/g, '$1 '],
	[/,? ?\b(?:don'?t size (?:it|them)|un-?sized|no sizing|not sized)\b/g, ' full'],
	[/,? ?(?:\b(?:at|with|by|on|of) )?\b(\d+(?:\.\d+)?) (?:strokes|pumps)(?: of air)?(?: each| apiece)?(?! of)/g, ' at $1 strokes'],
	[/^(?:mostly |mainly )(.+?),? (\d+ ?%),? and (\d+ ?% .+)$/g, '$2 $1, $3'],
	[/\b(group|bundle|set)(s?) of (?=\d\b(?!§))/g, 'cluster$2 of '],
	[/(?<=clusters? of \d.*), (\d+) (?:groups|clusters|bundles)$/g, ' $1 layers'],
	[/\banother (?=(?:[a-z]+ )?(?:quad|pair|duplet|triplet|quint|single|cluster)s?\b)/g, 'a '],
	[/\b(\d+)[- ]?inchers?\b/g, `$1${BAG}`],
	[/\b(?:measured|pumped|pumped up|blown|blown up|filled|air filled|brought|sized out|done|set|gauged)(?: up)? (?:at|to)(?= (?:about |around )?\d)/g, 'at'],
	[/\b(?:through|in|with|using|on) (?:the|a) (\d+(?:\.\d+)?)(?:″| inch)? (?:hole|sizer|ring|template|gauge)\b/g, 'at $1'],
	[/\b(?:with (?:the|a) )?sizer (?:at|on|set to)? ?(?=\d)/g, 'at '],
	[/\b(\d+) (?:lots?|goes|rounds|times) (?:of )?(?=\d)/g, '$1 sets of '],
	[/\b(\d+) x (?=\d+ (?!at\b)[a-z]+ \d)/g, '$1 sets of '],
	[/,? (?:and )?(?:all )?(?:that|this|it|them) (\d+ times|twice|thrice)/g, ' $1'],
	[/\b(?:no turning|no turn|don'?t (?:nest|turn|twist) (?:it|them)|not nested|un-?nested|stacked straight)\b/g, 'straight'],
	[/\b(\d+) (layers|rows) (?:high|tall|deep)\b/g, '$1 $2'],
	[/\b(\d+)[- ]balloon clusters?(?: of)?\b/g, 'cluster of $1'],
	[/(?<=quads?.*|clusters?.*),? (?:and )?(\d+) of (?:those|these|them)(?: quads| clusters| layers| rows)?$/g, ' $1 layers'],
	[/\bhalf (?!an?\b|and\b|the\b|of\b|inch)([a-z]+),? (?:and )?half ([a-z]+)\b/g, '$1 and $2'],
	[/\b(?:a bit|a little|slightly|quite|rather|nice and|very) (?=soft|full|loose)/g, ''],
	[/\bfully (?:blown|filled|inflated)\b|\b(?:to the full|full size|to full)\b/g, 'full'],
	[/(?<!\d )\b(sand|water|marbles) (?:inside|in it|in them)\b/g, 'filled with $1'],
	[/(?<=\d§.*)\b(?:in|per|on|for) (?:each|every|a) (?:layer|row|ring|cluster)\b/g, ''],
	[/\b([a-z]+),? (?:and )?not ([a-z]+)$/g, '$1 instead of $2'],
	[/\b(?:a |1 )?foot and a half\b/g, '1.5 ft'],
	[/\b(?:rather than|in place of)\b/g, 'instead of'],
	[/(?<=\d(?:§|″).*),? size (?=\d)/g, ' at '],
	[/(?<=\d(?:§|″)[^\d]*)(?<! down| up) to (?=\d+(?:\.\d+)?(?:″|,|$))/g, ' at '],
	[/(?<=\d§.*), (?:and )?(\d+(?:\.\d+)? (?:ft|m)) (?:tall|high)$/g, ' up to $1'],
	[/\b(smaller|bigger|larger|less|more|up|down) by ((?:half|quarter|a half|a quarter|3 quarters of|an?|\d\S*)(?: (?:an )?inch(?:es)?|″)?)(?!\S| [a-z])/g, '$2 $1'],
	[/\b(?:reduce|shrink|lower|drop|cut)(?: (?:it|them|that|those|this))?(?: down)? by ((?:half|quarter|a half|a quarter|an?|\d\S*)(?: (?:an )?inch(?:es)?|″)?)/g, '$1 smaller'],
	[/\b(?:increase|enlarge|raise|grow|blow up)(?: (?:it|them|that|those|this))?(?: up)? by ((?:half|quarter|a half|a quarter|an?|\d\S*)(?: (?:an )?inch(?:es)?|″)?)/g, '$1 bigger'],
	[/\b(?:turning|twist(?:ed|ing)?|swirled|winding|spun)\b/g, 'spiral'],
	[/\b(?:anti-?clockwise|counter-?clockwise) spiral\b|\bspiral (?:anti-?clockwise|counter-?clockwise)\b/g, 'spiral left'],
	[/\bclockwise spiral\b|\bspiral clockwise\b/g, 'spiral right'],
	[/\b([a-z]+) (?:rows|layers) and ([a-z]+) (?:rows|layers)(?: in turn| by turns)?\b/g, 'rings $1 and $2'],
	[/^every (?:other|second) (?:row|layer) (?:is |in )?[a-z]+[:,] (?=.*\band\b)/g, 'rings, '],
	[/\bevery (?:other|second) (?:row|layer)\b|\brow by row\b|\b(?:rows|layers) (?:in turn|by turns)\b|\bin turns?\b|\btaking turns\b/g, 'rings'],
	[/\b([a-z]+(?: [a-z]+)?) (?:fad(?:ing|es|ed)|going|changing|blend(?:ing|ed)|shading|running|graded) (?:in)?to ([a-z]+)\b/g, 'gradient from $1 to $2'],
	[/\b(?<!gradient |ombre |fade |fading )from ([a-z]+(?: [a-z]+)?) to ([a-z]+)\b/g, 'gradient from $1 to $2'],
	[/\bches+ ?board\b|\bcheckerboard(?: pattern)?\b/g, 'checker'],
	[/\b(?:up )?to (?:a height of|a total (?:height )?of|the) (\d+(?:\.\d+)? ft)(?: mark| line)?\b/g, 'up to $1'],
	[/\b(?:up to|until|till?|as (?:high|tall) as|reaching|to reach|as far as)(?: it is| its| it's| the| (?:it|we|you) reach(?:es)?| (?:it|we|you) gets? to)? (\d+(?:\.\d+)? ft)(?: mark| line)?\b/g, 'up to $1'],
	[/^(\d+(?:\.\d+)? ft)(?: tall| high)? of (?=.*\d)/g, 'up to $1 '],
	[/\b(?:with )?(water|sand|marbles?)[- ]?(?:weighted|weighed)\b/g, 'filled with $1'],
	[/\bstuffed with (an? [^,]+?)(?=,|$)/g, 'with $1 inside'],
	[/\bwith (an? [^,]+?) (?:in|inside) (?:it|them|each)\b/g, 'with $1 inside'],
	[/,? ?\b(?:made )?(?:from|of|out of) (?:what(?:'s| is| was)? left(?: ?over)?(?: from [a-z ]+)?|the (?:leftovers|left ?overs|scraps|rest)(?: (?:of|from) [a-z ]+)?|(?:left ?overs|scraps))\s*$/g, ' from leftovers'],
	[/,? ?\b(?:until|till?|as long as|while) (?:it|that|i|we) (?:is |are |am )?(?:know|known|not known|sure|decided|find out)\b/g, ''],
	[/(\d+(?:\.\d+)?)(?:″)? or (?=\d)/g, '$1 to '],
	[/,? ?\b(?:(?:the )?size does(?:n't|nt| not) matter|no size|whatever size)\b/g, ''],
	[/\b(?:(?:in|of) )?(?:any|whatever|whichever)(?: old)? (?:colou?r|print|colou?r or print)s?\b(?: (?:i|we) have)?(?:,? (?:as )?(?:nobody|no one|they|you) (?:(?:will|can|do)(?:n't| not)? )?(?:ever )?sees? (?:it|them))?/g, 'hidden'],
	[/\b(?:any|random|mixed|assorted|various|different|all) sizes?\b/g, 'random'],
	[/\bunder ?-?(?:inflated|filled|blown)\b|\bsoftly (?:inflated|filled)\b/g, 'soft'],
	[/\bstraight,? straight\b/g, 'straight'],
	[/\b(?:matte?|standard) (?=[a-z])/g, ''],
	[/\ba couple(?: of)?\b/g, '2'],
	[/\b(?:1|an?) or 2 (?=[a-z])/g, '1 to 2 '],
	[/\ba dozen\b/g, '12'],
	[/\b(\d+) (?!(?:ft|in|cm|m|of|at|x|and|with|for)\b)([a-z]+) (quads?|pairs?|duplets?|triplets?|quints?)\b/g, '$1 $3 $2'],
	[/(?<=.) plus (?:an? )(?=[a-z]+ \d)/g, ' with 1 '],
	[/(?<=\S) plus (?=\d)/g, ' with '],
	[/\bwith (\d.+) (?:over|above|on top of) (?:them|it|that|those)$/g, 'then $1'],
	[/,? (?:and )?(?:above|over|on top of|on) (?:it|that|them|those),? (?=\d|an? )/g, ' then ']
]; // prettier-ignore

/** A sentence with its numbers as figures and its marks as words: one way of writing each thing. */
export function plainly(text: string): string {
	let said = ` ${text.toLowerCase()} `
		.replace(/[’']s(?=\s|$|,)/g, 's')
		.replace(/×/g, ' x ')
		.replace(/(\d)x(?=\s|\d)/g, '$1 x ')
		.replace(/@/g, ' at ')
		.replace(/&/g, ' and ')
		.replace(/[–—]/g, '-')
		.replace(/\bpercent\b|\bper cent\b/g, '%')
		.replace(/[!?]+(?=\s|$)/g, ' ');
	said = said
		.replace(/\bsix[- ]?packs?\b/g, 'cluster 6')
		.replace(/-(?=(?:inch|foot|feet|ft|cm|packs?|footers?)\b)/g, ' ');
	said = figures(said);
	said = said
		.replace(/(\d)\s*(?:"|″|''|-\s?inch(?:es)?|\s?inch(?:es)?\b|\s?in\.)/g, `$1${INCH} `)
		// “at 9 in hive gold” says a colour; “at 9 in” ends with the unit.
		.replace(/(\d)\s+in(?=\s*(?:,|$|at\b|for\b|on\b|x\b|and\b|sized\b|to\b))/g, `$1${INCH}`)
		.replace(/(\d)in\b/g, `$1${INCH}`)
		.replace(/(\d)-(?=ft|foot|feet|cm)/g, '$1 ')
		.replace(/(\d)\s*(?:'|′|\s?foot\b|\s?feet\b|\s?ft\b\.?)/g, '$1 ft')
		.replace(/(\d)\s*(?:cms?|centimet(?:re|er)s?)\b/g, '$1 cm')
		.replace(/\bbetween (\S+) and (\S+)/g, '$1 to $2')
		.replace(/(\d)\s*-\s*(?=\d)/g, '$1 to ');
	said = said.replace(/\s+/g, ' ').trim();
	// Of what is wide and high, high is a measure.
	if (!/\b(?:arch|wall|wide|garland|by)\b/.test(said)) said = said.replace(HIGH, ' $1 layers');
	for (const [words, same] of SAME) said = said.replace(words, same);
	return said
		.replace(/\s+(?=,)/g, '')
		.replace(/\s+/g, ' ')
		.trim();
}

/** Numbers in words as figures, halves with them; bags of a plural with their sign. */
function figures(text: string): string {
	return text
		.replace(
			/\b(twenty|thirty|forty)[- ](one|two|three|four|five|six|seven|eight|nine)\b/g,
			(_, ten: string, one: string) => String(TENS[ten]! + SPOKEN.get(one)!)
		)
		.replace(/\b(thirty|forty|fifty|sixty|seventy|eighty|ninety)\b(?!-)/g, (ten) => String(TENS[ten]))
		.replace(/(\d+)\s*([½¼¾⅛⅜⅝⅞])/g, (_, n: string, part: string) => `${n}${FRACTIONS[part]}`)
		.replace(/(^|\s)([½¼¾⅛⅜⅝⅞])/g, (_, gap: string, part: string) => `${gap}0${FRACTIONS[part]}`)
		.replace(/(\d+)[- ](1|3|5|7)\/(2|4|8)\b/g, (_, n: string, a: string, b: string) =>
			String(Number(n) + Number(a) / Number(b))
		)
		.replace(/\b(\d+)s\b/g, `$1${BAG}`)
		.replace(/[a-z]+(?:-[a-z]+)?/g, (word) => {
			const n = SPOKEN.get(word);
			if (n === undefined || /^(?:single|pair|duplet|quad)s?$/.test(word)) return word;
			return PLURAL.test(word) ? `${n}${BAG}` : String(n);
		})
		.replace(/(\d+) and (?:a|1) half\b/g, (_, n: string) => String(Number(n) + 0.5))
		.replace(/(\d+) and (?:an?|1) quarter\b/g, (_, n: string) => String(Number(n) + 0.25))
		.replace(/(\d+) and 3 quarters\b/g, (_, n: string) => String(Number(n) + 0.75));
}

/** Without what is said besides. */
const bared = new Map<string, string>();
export function bare(said: string): string {
	const known = bared.get(said);
	if (known !== undefined) return known;
	let text = said;
	for (let before = ''; before !== text;) {
		before = text;
		for (const filler of FILLERS) text = text.replace(filler, ' ').replace(/\s+/g, ' ').trim();
	}
	// The same parts of a line are asked for by every reading of it, at every keystroke.
	if (bared.size > 400) bared.clear();
	bared.set(said, text);
	return text;
}

/**
 * Words that say nothing of a piece: articles, pronouns, polite words, verbs of doing. What negates, compares, counts or
 * says a place by another is none of them.
 */
export const IDLE: ReadonlySet<string> = new Set(
	`a an the this that these those it its it's they them their there here is are was be been being am will would shall should can could may might must
	do does did doing done have has had having go goes going gone get gets getting got let lets let's need needs needed want wants wanted like likes
	please thanks thank you i i'd i'll i'm we we'd we'll us our my your he she him her his who which what
	so then now next also just really very quite kind sort some thing things stuff actually basically simply maybe ok okay right well yes yeah
	for from of on onto in into through as off over up upon about around along across
	first second third last final finally identical same such own all each every any both
	put place placed placing set make makes made making use uses used using take takes taken taking add adds added build built building start starts begin
	finish finishes finished end ends ending come comes coming keep keeps hold holds stack stacks stacked arranged arrangement layer row
	column pillar piece part bottom top topper base head body end finish mixed mix colour colours color colors coloured colored
	ground floor lowest highest uppermost lowermost topmost down sit sits sitting goes ring tier spot place pop bit fresh load start starting begins beginning opening
	stacking building adding placing putting making using
	repeat repeated everywhere anywhere throughout wherever
	nice pretty beautiful lovely giant huge jumbo big large small tiny standard normal regular usual usually always together alike latex balloon balloons round rounds shade
	whole complete total extra style kind type tall high ones one's else around throughout straightaway today tonight`.split(/\s+/)
); // prettier-ignore

/** A sentence without words that say nothing; undefined where there are none. */
export function withoutIdle(said: string): string | undefined {
	const left = said
		.replace(/^an? (?=\d)/, '1 ')
		.split(' ')
		.filter((word) => !IDLE.has(word.replace(/[,.:]+$/, '')))
		.join(' ')
		.replace(/\bat(?= *(?:,|$))/g, '')
		.replace(/^[,\s]+|[,\s]+$/g, '');
	return left !== said && left !== '' ? left : undefined;
}

/** A text from which is taken what is understood, piece by piece; what is left is what was not. */
export class Left {
	text: string;
	constructor(text: string) {
		this.text = ` ${text} `;
	}
	/** Takes the first match out. */
	take(pattern: RegExp): RegExpExecArray | undefined {
		const found = pattern.exec(this.text);
		if (!found) return undefined;
		this.text = `${this.text.slice(0, found.index)} ${this.text.slice(found.index + found[0].length)}`;
		return found;
	}
}
