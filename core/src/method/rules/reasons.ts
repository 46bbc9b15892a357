/** Why a rule stands, and what is said against it, for people who set a practice. */
export interface Reason {
  readonly title: string;
  readonly because: string;
  readonly otherSide: string;
}

const reason = (title: string, because: string, otherSide: string): Reason => ({ title, because, otherSide });

/** One entry for every rule and every preference. */
export const REASONS: Readonly<Record<string, Reason>> = {
  'size.noPartHolds': reason(
    'An end that no part holds',
    'Copper outside the stamped range is loose or cut: it pulls out, or its strands break.',
    'A crimp one size off often holds a tug on the day.',
  ),
  'size.tooManyWires': reason(
    'More wires than the part takes',
    'Two wires in one end of a butt, three in all, is what still lies under the crimp.',
    'More go in if you push.',
  ),
  'sleeve.none': reason(
    'No sleeve passes and grips',
    'A sleeve that cannot pass does not go on; one that cannot grip lets water in.',
    'Two short sleeves, or a turn of tape, looks closed.',
  ),
  'tap.cannotRejoin': reason('A tap rejoins nothing', 'Taps and windows add a wire to a whole one.', ''),
  'place.noRoom': reason(
    'No legal room for the body',
    'A body in a keep-out is bent, rubbed or pulled until it fails.',
    'A few millimetres nearer saves a splice.',
  ),
  'wire.aluminium': reason(
    'Copper parts on aluminium',
    'Its oxide insulates, it creeps under a crimp, and beside copper it corrodes.',
    'It crimps easily, and reads well on the day.',
  ),
  'solder.vibrating': reason(
    'Solder where it shakes',
    'Wicked solder makes a stiff end, and the wire breaks beside it.',
    'Well supported, a soldered joint lasts for years.',
  ),
  'solder.flexing': reason(
    'Solder where it bends',
    'The stiff end of the joint takes all the bending.',
    'Outside the bending stretch it never moves.',
  ),
  'solder.hot': reason(
    'Solder over 125 °C',
    'It softens and creeps long before it melts.',
    'Alloys for more heat exist.',
  ),
  'vapour.iron': reason(
    'Iron or flame in vapour',
    'Vapour lights at an iron’s tip.',
    'Aired out, there is nothing left to light.',
  ),
  'vapour.hotAir': reason(
    'Hot air in vapour',
    'A hot-air gun’s element glows: only once the place is aired and measured.',
    'The gun is kept moving and a metre away.',
  ),
  'seal.wrapInWet': reason(
    'A wrap where an adhesive sleeve may go, damp or wet',
    'Tape does not seal a cut wire; glue all round does.',
    'Stretched self-fusing tape holds water off for a season.',
  ),
  'seal.wrapInDry': reason(
    'A wrap where a sleeve can be slid on, dry',
    'The end is open anyway: a sleeve costs one step and stays.',
    'Tape is quick, and dry indoors nothing creeps in.',
  ),
  'seal.missing': reason(
    'No seal in damp or wet',
    'Water creeps along the strands under the jacket.',
    'Grease fills the joint.',
  ),
  'rated.under': reason(
    'A part rated under its place',
    'Above its rating a sleeve, tape or part goes soft or brittle.',
    'The peak lasts minutes only.',
  ),
  'cap.place': reason(
    'A cap anywhere but dry and still',
    'It is open at one end and hangs on its wires.',
    'Mouth down, water does not run in.',
  ),
  'cap.sensitive': reason(
    'A cap on low-level or data',
    'Its resistance wanders, and the reading with it.',
    'The meter says zero ohm.',
  ),
  'window.mainUncut': reason(
    'A main wire that must stay whole',
    'Whoever asked for it knows what hangs on that wire.',
    'A good three-end crimp is better than a window.',
  ),
  'window.noFreeEnd': reason('A sleeve with no free end', 'Nothing is cut, so nothing can be slid on.', ''),
  'tap.permanent': reason('A piercing tap that stays', 'It loses contact and lets water in.', 'No cut, and quick.'),
  'practice.crimpOnly': reason(
    'Solder in a crimp-only shop',
    'One way of joining everywhere: one set of tools in calibration, one inspection to learn.',
    'A still, dry box loses the slimmer joint.',
  ),
  'practice.solderStillAndDry': reason(
    'Solder that is not both still and dry',
    'Solder corrodes where it is damp, and has too many variables.',
    'Sealed under glue it is dry in there.',
  ),
  'sleeve.cannotSlide': reason(
    'A sleeve longer than the free wire',
    'It cannot be slid clear of the work.',
    'A shorter sleeve at least covers the metal.',
  ),
  'shelf.part': reason('A part that is not there', 'It can be ordered; a plan with what is there goes first.', ''),
  'shelf.tool': reason(
    'A tool or die that is not there',
    'A die of another family makes a crimp that only looks right.',
    'Pliers close anything.',
  ),
  'tool.hand': reason(
    'A hand tool without ratchet',
    'Hands differ: a ratchet does not let go early.',
    'A practised hand feels the crimp.',
  ),
  'tool.calibration': reason(
    'A tool out of calibration',
    'It is trusted until the date runs out; after that a sample is pulled first.',
    'It did a good one yesterday.',
  ),
  'part.colour': reason(
    'Colour and stamp disagree',
    'The stamped range decides; the colour is a habit.',
    'All makers keep to the colours.',
  ),
  'sleeve.park': reason(
    'Little room to park a sleeve',
    'Heat from the work shrinks it where it waits.',
    'A wet rag keeps it cool.',
  ),
  'fold.missing': reason('Copper that should be doubled', 'Single, it lies loose in the barrel.', ''),
  'sleeve.buildUp': reason(
    'Jackets too unlike for one sleeve',
    'A short sleeve on the thinner one first: the outer then grips both.',
    'A larger ratio tube might do both.',
  ),
  'seal.singleWall': reason(
    'Single-wall sleeve',
    'Without glue it keeps dust off and water in.',
    'It is slim, and shrinks on anything.',
  ),
  'place.thick': reason(
    'A body thicker than its conduit leaves',
    'It will not go back in, or it chafes.',
    'A split conduit gapes a little, and gives.',
  ),
  'solid.vibrating': reason(
    'Solid wire where it shakes',
    'It breaks at the first bend beside the joint.',
    'It was there before.',
  ),
  'care.lowLevel': reason(
    'Resistance of a low-level joint',
    'The signal reads the joint as well as the sensor.',
    'A crimp is under a milliohm anyway.',
  ),
  'care.pair': reason(
    'Twist of a data pair',
    'Untwisted length lets noise in.',
    'A few centimetres are nothing to a slow bus.',
  ),
  'care.shield': reason('Shield and drain', 'Joined separately, the shield goes on shielding.', ''),
  'care.pulsed': reason('Ignition and injector feeds', 'Pulses find a bad joint that a beeper does not.', ''),
  'care.stepUp': reason(
    'An insert over two sizes larger',
    'Barrel, terminal and seal were made for the old size.',
    'More copper never hurts.',
  ),
  'prefer.fewestSplices': reason(
    'Fewest splices first',
    'Every splice is one more thing that can fail.',
    'Two slim ones lie better than one thick one.',
  ),
  'prefer.builtInSeal': reason(
    'Built-in seal where no sleeve can be parked',
    'A sleeve beside the work shrinks there.',
    'A heat clamp between does as well.',
  ),
  'prefer.benchSolder': reason(
    'Solder first at the bench',
    'Where nothing moves a wrapped joint is the slimmest and conducts best.',
    'A crimp is quicker and easier to inspect.',
  ),
  'prefer.slimClip': reason(
    'Clip first where it is tight, or the wire thin and sensitive',
    'A clip is short and slim, with nothing to disturb a signal.',
    'A sealed butt has no sleeve to forget.',
  ),
  'prefer.solidFolded': reason('Solid wire doubled', 'It cannot turn or creep out.', 'It takes twice the strip.'),
  'prefer.stepDown': reason(
    'Step-down for two sizes',
    'Each size sits in a bore of its own.',
    'One clip holds any two sizes, and is always there.',
  ),
  'prefer.unfolded': reason('Unfolded before folded', 'The right size holds the copper as it is.', ''),
  'prefer.clipForMany': reason(
    'Clip first for three wires and more',
    'Side by side in a clip, all of them lie under the crimp.',
    'Two in one end of a butt keep the seal built in.',
  ),
  'prefer.threeEnds': reason(
    'Three-end splice before a window',
    'It holds better than a joint on a bared window.',
    'The window needs no cut and no slack.',
  ),
  'prefer.lowestLimit': reason('Nearest upper limit', 'The part that is just large enough closes tightest.', ''),
  'prefer.order': reason(
    'Sealed butt, clip, plain barrel, then the rest',
    'The fewest steps for a sealed joint first.',
    'A clip is slimmer wherever there is a good crimper.',
  ),
  'prefer.ratchet': reason('Ratchet tool in calibration first', 'It does not let go early.', ''),
  'prefer.fewerSteps': reason('Fewer steps', 'Every step can be forgotten.', ''),
  'prefer.shorter': reason('Shorter time', 'Among equals.', ''),
  'prefer.slimmer': reason('Slimmer body', 'Among equals it goes back into its conduit more easily.', ''),
};
