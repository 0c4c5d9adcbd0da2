// Made by `php artisan tally:types` from the classes that pages are made of. Do not edit.

export type Ability = 'write' | 'erase' | 'void' | 'overrule' | 'rules' | 'people';

export interface ActivityPage {
    tag: string | null;
    count: number;
    lines: BookLineProps[];
    older: number | null;
}

export interface AnswerProps {
    key: string;
    words: string;
    asksCode: boolean;
}

export interface BadCellProps {
    row: number;
    column: string;
    sentence: string;
}

export interface BarProps {
    kind: string;
    tag: string;
    words: string;
    from: number;
    until: number;
}

export interface BenchPage {
    benches: BenchProps[];
    readers: PlaceProps[];
    hosts: PlaceProps[];
    known: KnownStationProps[];
}

export interface BenchProps {
    id: number;
    name: string;
    host: string;
    here: boolean;
    away: boolean;
    state: string;
    left: number;
    slots: BenchSlotProps[];
    ports: PlaceProps[];
}

export interface BenchSlotProps {
    id: number;
    name: string;
    kind: SlotKind;
    path: string;
    reader: number;
    port: number;
    seen: string;
    usable: boolean;
    run: string | null;
}

export interface BesidePlanProps {
    draws: number;
    done: RangeProps;
    free: RangeProps;
    others: OtherPlanProps[];
}

export type BlockClass = 'holds' | 'stale' | 'blank' | 'echoes' | 'scrambled' | 'unreadable';

export interface BodyProps {
    camera: string;
    name: string;
    says: string;
    own: BurstProps[];
    others: BurstProps[];
}

export interface BookLineProps {
    id: number;
    on: string;
    who: string;
    did: string;
    what: string;
    changes: ChangeProps[];
}

export interface BookProps {
    key: string;
    words: string;
    columns: string[];
}

export interface BooksPage {
    books: BookProps[];
    formats: ChoiceProps[];
    verdicts: ChoiceProps[];
}

export interface BurstProps {
    id: number;
    camera: string;
    card: string;
    frames: number;
    frame: string;
    perSecond: number;
    lasts: number;
    clear: number;
    drain: number;
    buffer: string;
    by: string;
    on: string;
}

export interface BuyAskedProps {
    mode: string;
    floor: string;
    size: string;
    count: string;
    reader: string;
}

export interface BuyPage {
    asked: BuyAskedProps;
    modes: ChoiceProps[];
    floor: number;
    need: string;
    currency: string;
    offers: OfferProps[];
    labelOnly: OfferProps[];
    struck: string[];
    picks: PickProps[];
    spares: SpareProps[];
}

export interface CabledProps {
    thing: string;
    name: string;
    port: string;
}

export interface CardProps {
    tag: string;
    name: string;
    line: string;
    capacity: number;
    footage: number;
    isMicro: boolean;
}

export interface CautionProps {
    lead: string;
    rest: string;
}

export interface CeilingProps {
    link: string;
    nominal: number;
    least: number | null;
    usable: number;
    origin: string;
    source: string;
    isOwn: boolean;
}

export interface ChainChoicesProps {
    readers: ChoiceProps[];
    ports: ChoiceProps[];
    drives: ChoiceProps[];
}

export interface ChangeProps {
    column: string;
    was: string | null;
    is: string;
}

export interface ChangedRateProps {
    name: string;
    then: string;
    now: string;
    how: string;
}

export interface ChangedVerdictProps {
    card: string;
    before: VerdictKind | null;
    verdict: VerdictKind | null;
    why: string;
}

export interface ChoiceProps {
    key: string;
    label: string;
    forms: string[];
}

export interface ChoicesProps {
    forms: ChoiceProps[];
    families: ChoiceProps[];
    buses: ChoiceProps[];
    marks: ChoiceProps[];
    provenances: ChoiceProps[];
    twoRowForms: string[];
    fields: ChoiceProps[];
}

export interface ClaimLineProps {
    ways: ClaimWayProps[];
    wall: number | null;
    least: number | null;
    wallName: string | null;
    caption: string | null;
}

export interface ClaimWayProps {
    way: string;
    runs: number[];
    median: number | null;
    claim: number | null;
    floor: number | null;
    floorMark: string | null;
    struck: string | null;
    untold: string | null;
    leftOut: number | null;
}

export interface ClassProps {
    class: BlockClass;
    bytes: number;
    size: string;
    meaning: string;
}

export interface ColumnProps {
    heading: string;
    field: string;
    sample: string;
}

export interface ComparePage {
    compare: CompareProps;
}

export interface CompareProps {
    by: string;
    way: string;
    a: string;
    b: string;
    choices: ChoiceProps[];
    first: SideProps | null;
    second: SideProps | null;
    pairs: PairProps[];
    verdict: string;
    words: string[];
    how: string;
    amount: string;
    amountTrouble: string | null;
}

export type Condition =
    | 'whole'
    | 'wraps'
    | 'drops'
    | 'corrupts'
    | 'aliases'
    | 'refuses'
    | 'keeps-nothing'
    | 'keeps-old'
    | 'faulty'
    | 'unknown';

export interface CopyCheckProps {
    laps: LapProps[];
    bound: string | null;
    trouble: string | null;
}

export interface CopyPage {
    card: CardProps;
    copies: CopyProps[];
    slots: CopySlotProps[];
    folders: string[];
    chain: ChainChoicesProps;
    running: RunningProps | null;
    today: string;
    person: string;
    margin: MarginProps;
}

export interface CopyProps {
    id: number;
    title: string;
    what: string;
    laps: LapProps[];
    bound: string;
    notes: string[];
    struck: boolean;
}

export interface CopySlotProps {
    id: number;
    name: string;
    path: string;
    refusal: string | null;
}

export interface CoreProps {
    size: number;
    label: number;
    capacity: number;
    wrap: number | null;
    condition: Condition;
    patches: PatchProps[];
    classes: ClassProps[];
    grain: number;
    summary: string;
    caption: string;
    trace: TraceProps | null;
    wrapFrom: number | null;
    exact: boolean;
    points: number | null;
    means: string[];
    proves: string;
    leaves: string[];
    alarmAt: number | null;
    peg: string;
    isLoose: boolean;
    upTo: string | null;
    behind: string | null;
    really: string | null;
}

export interface CourseProps {
    size: number;
    points: [number, number][];
    floor: number | null;
    floorFrom: number;
    floorTo: number;
    plateaus: [number, number, number][];
    cliffs: number[];
    classes: [string, number][];
    markFloor: number | null;
    mark: string | null;
    caption: string;
    summary: string;
    heat: [number, number][];
    noted: [number, number][];
}

export interface CriterionProps {
    key: string;
    label: string;
    detail: string;
    may: number;
    of: number;
}

export interface CriterionWordProps {
    criterion: string;
    may: boolean;
    words: string;
    evidence: string;
}

export interface DriveCareProps {
    gone: string | null;
    leaning: number;
    folder: string;
    checks: DriveCheckProps[];
    person: string;
}

export interface DriveCheckProps {
    id: number;
    folder: string;
    by: string;
    on: string;
    state: string;
    isOver: boolean;
    share: number;
    message: string;
    lines: string[];
}

export interface DriveCopyProps {
    drive: string;
    copied: number;
    verified: number;
    mark: string;
    words: string;
    since: string;
}

export interface DriveFindingProps {
    id: number;
    card: string;
    file: string;
    what: string;
    offload: number;
    shoot: string;
    isMadeUp: boolean;
    by: string;
    on: string;
}

export interface DueProps {
    words: string;
    why: string;
    isNow: boolean;
    href: string | null;
}

export interface DueRulesProps {
    proveMonths: string;
    measureMonths: string;
    fills: string;
    afterIncident: string;
    shootDays: string;
    shootMonths: string;
    retireYears: string;
    retireFills: string;
}

export interface ErasedPage {
    lines: ErasureProps[];
    count: number;
    older: number | null;
    isNewest: boolean;
}

export interface ErasureProps {
    id: number;
    on: string;
    what: string;
    device: string;
    size: string;
    person: string;
    station: string;
    why: string | null;
    tag: string | null;
}

export interface EveningCardProps {
    tag: string;
    size: string;
}

export interface EveningProps {
    day: string;
    cards: EveningCardProps[];
    total: string;
    offload: string | null;
}

export interface FactProps {
    label: string;
    words: string;
}

export interface FieldProps {
    field: string;
    value: string;
    from: string;
}

export interface FiguresProps {
    done: number;
    free: number;
    hands: number;
}

export interface FitCardProps {
    tag: string;
    line: string;
    verdict: VerdictKind;
    floor: number | null;
    mark: number | null;
    lasts: string;
    isProven: boolean;
    may: boolean;
    words: string;
    criteria: CriterionWordProps[];
}

export interface FitCellProps {
    rate: number | null;
    why: string;
    origin: string;
    isOwn: boolean;
}

export interface FitModePage {
    id: number;
    camera: string;
    name: string;
    writes: string;
    rate: number;
    need: number;
    cards: FitCardProps[];
    more: number;
    criteria: CriterionProps[];
    decides: string;
    least: string | null;
    asks: string;
}

export interface FitModeProps {
    id: number;
    camera: string;
    name: string;
    writes: string;
    rate: number;
    need: number;
    lasts: string;
    isCalibrated: boolean;
    may: boolean;
    words: string;
    least: string | null;
    criteria: CriterionWordProps[];
}

export interface FitPage {
    card: CardProps | null;
    line: string;
    holds: string;
    asked: string;
    complaint: string;
    modes: FitModeProps[];
    cameras: ChoiceProps[];
    criteria: CriterionProps[];
    decides: string;
    spare: string;
    usable: string;
    walls: WallProps[];
    reasons: ReasonProps[];
    bodies: BodyProps[];
    stops: StopProps[];
    causes: ChoiceProps[];
    person: string;
}

export interface FitRowProps {
    key: string;
    name: string;
    cells: FitCellProps[];
}

export interface FitRulesProps {
    criterion: string;
    spare: string;
    usable: string;
}

export interface FitSheetProps {
    card: string | null;
    caption: string;
    columns: string[];
    rows: FitRowProps[];
}

export interface FitsPage {
    sheet: FitSheetProps;
    bodies: FitSheetProps;
    cameras: ChoiceProps[];
    answers: ChoiceProps[];
    person: string;
    today: string;
}

export interface FlowProps {
    kind: string;
    from: string;
    to: string;
    detail: string;
    rate: number;
    isPinch: boolean;
}

export interface FoldersProps {
    folders: string[];
}

export interface FollowLaneProps {
    name: string;
    passages: PassageProps[];
}

export interface FollowNowProps {
    state: string;
    now: number;
    done: number;
    safeAt: string;
    amount: string;
    hands: HandProps[];
    next: string;
    lanes: FollowLaneProps[];
    swaps: SwapProps[];
    cards: HomeCardProps[];
    reasons: string[];
    wrong: WrongCopyProps[];
    notes: string[];
    secured: number;
    clear: string;
    maySearchAnew: boolean;
}

export interface FollowPage {
    id: number;
    name: string;
    began: string;
    beganAt: number;
    planned: number;
    pace: number | null;
    first: FollowNowProps;
    person: string;
    said: string | null;
}

export interface FootageActProps {
    id: number;
    what: string;
    on: string;
    person: string;
    note: string | null;
}

export interface FootageProps {
    now: string | null;
    secured: string | null;
    acts: FootageActProps[];
}

export interface ForSaleProps {
    tag: string;
    perGigabyte: number;
    severity: string | null;
}

export interface FrameProps {
    station: string;
    worker: boolean;
    going: number;
    stages: StageProps[];
    cards: number;
    unproven: number;
    due: number;
}

export interface GivenPasswordProps {
    name: string;
    password: string;
}

export interface GoodRowProps {
    row: number;
    tag: string;
    name: string;
    line: string;
    rest: string;
}

export interface HandProps {
    card: number;
    tag: string;
    words: string;
    detail: string;
    waits: number;
    choices: string[];
    isSwap: boolean;
    refused: string | null;
    said: string | null;
}

export interface HandTimesProps {
    swap: string;
    first: string;
    overhead: string;
}

export interface HandbookPage {
    search: string;
    sections: HandbookSectionProps[];
}

export interface HandbookRowProps {
    name: string;
    says: string;
    source: string;
}

export interface HandbookSectionProps {
    key: string;
    title: string;
    rows: HandbookRowProps[];
}

export interface HeatProps {
    at: string;
    temperature: string;
    by: string | null;
}

export interface HomeCardProps {
    tag: string;
    amount: string;
    files: string;
    folder: string;
    copies: DriveCopyProps[];
    clear: string;
    mayBeCleared: boolean;
    isCleared: boolean;
}

export interface ImportPage {
    import: ImportProps | null;
    fields: ChoiceProps[];
    reading: string | null;
}

export interface ImportProps {
    id: string;
    name: string;
    columns: ColumnProps[];
    good: number;
    badRows: number;
    rows: GoodRowProps[];
    bad: BadCellProps[];
}

export interface InspectPage {
    card: CardProps;
    questions: QuestionProps[];
    history: SeenProps[];
    readers: ChoiceProps[];
    person: string;
    margin: MarginProps;
}

export interface IntakePage {
    card: CardProps | null;
    values: IntakeProps;
    choices: ChoicesProps;
    margin: MarginProps | null;
    claimLine: ClaimLineProps | null;
    photos: PhotoProps[];
    revision: number | null;
    footage: FootageProps | null;
    person: string;
}

export interface IntakeProps {
    tag: string;
    name: string;
    form: string;
    capacity: string;
    family: string;
    bus: string;
    marks: string[];
    read: string;
    write: string;
    sustained: string;
    times: string;
    contact_rows: string;
    footage: string;
    serial: string;
    back_code: string;
    price: string;
    seller: string;
    order_no: string;
    lot: string;
    bought_on: string;
    provenance: string;
    label_line: string;
    count: string;
    serials: string;
}

export interface JudgeRulesProps {
    full: string;
    near: string;
    short: string;
    above: string;
}

export interface KeptShootPage {
    id: number;
    name: string;
    when: string;
    made: string;
    packed: PackedProps;
}

export interface KeptShootProps {
    id: number;
    name: string;
    on: string;
    cards: number;
}

export interface KitFieldProps {
    name: string;
    label: string;
    control: string;
    values: string[];
    choices: ChoiceProps[];
    placeholder: string;
    none: string | null;
}

export interface KitFormProps {
    kind: string;
    one: string;
    key: string | null;
    title: string;
    fields: KitFieldProps[];
    parts: KitPartsProps | null;
}

export interface KitItemPage {
    form: KitFormProps;
    state: string;
    ceilings: CeilingProps[];
    sightings: SightingProps[];
    trouble: SeenProps[];
    found: DriveFindingProps[];
    care: DriveCareProps | null;
}

export interface KitItemProps {
    key: string;
    tag: string;
    name: string;
    lines: string[];
    ceilings: CeilingProps[];
    trouble: string | null;
}

export interface KitListProps {
    kind: string;
    title: string;
    one: string;
    items: KitItemProps[];
}

export interface KitPage {
    lists: KitListProps[];
    said: string;
}

export interface KitPartsProps {
    name: string;
    title: string;
    one: string;
    blank: KitFieldProps[];
    rows: KitRowProps[];
}

export interface KitRowProps {
    id: number;
    fields: KitFieldProps[];
}

export interface KnownStationProps {
    id: number;
    name: string;
    key: string;
    runs: number;
    revoked: string | null;
}

export interface LaneProps {
    name: string;
    bars: BarProps[];
}

export interface LapProps {
    words: string;
    seconds: number;
    time: string;
    rate: string;
}

export interface LedgerPage {
    card: CardProps;
    heading: string;
    facts: string[];
    life: LifeProps;
    reasons: ReasonProps[];
    due: DueProps | null;
    retired: RetiredProps | null;
    mayRetire: boolean;
    person: string;
}

export interface LiesProps {
    device: string;
    token: string | null;
    on: string[];
}

export interface LifeEventProps {
    day: number;
    on: string;
    kind: string;
    words: string;
    detail: string;
    href: string | null;
}

export interface LifeFloorProps {
    name: string;
    rate: number;
}

export interface LifePointProps {
    day: number;
    rate: number;
    words: string;
    run: number;
}

export interface LifeProps {
    begins: string;
    days: number;
    chain: string;
    writes: LifePointProps[];
    reads: LifePointProps[];
    floors: LifeFloorProps[];
    trend: LifeTrendProps | null;
    events: LifeEventProps[];
}

export interface LifeTrendProps {
    begins: number;
    ends: number;
    from: number;
    to: number;
    isTold: boolean;
    words: string;
}

export interface LimitCellProps {
    card: string;
    reader: string;
    rate: number;
    runs: number;
    by: string;
    why: string;
}

export interface LimitEdgeProps {
    name: string;
    words: string;
    rate: number;
    margin: number | null;
}

export interface LimitsPage {
    limits: LimitsProps;
}

export interface LimitsProps {
    way: string;
    cards: LimitEdgeProps[];
    readers: LimitEdgeProps[];
    cells: LimitCellProps[];
    next: NextRunProps | null;
    leftOut: number;
}

export interface LineProps {
    line: string;
    fields: FieldProps[];
    marks: string[];
    marksFrom: string | null;
    notes: string[];
    unknown: string[];
}

export interface LinkProps {
    name: string;
    rate: number;
    source: string;
    pinch: boolean;
}

export interface LoadProps {
    name: string;
    share: number;
    kind: string;
}

export interface MarginProps {
    verdict: VerdictKind;
    reasons: ReasonProps[];
    cautions: CautionProps[];
    next: StepProps;
    tag: string;
    person: string;
    overrule: OverruleProps | null;
}

export interface MeasurePage {
    card: CardProps;
    claimLine: ClaimLineProps;
    course: CourseProps | null;
    runs: RunProps[];
    running: RunningProps | null;
    order: OrderProps;
    margin: MarginProps;
}

export interface MistakeProps {
    words: string;
    count: number;
    blocks: number[];
}

export interface MountedProps {
    thing: string;
    folder: string;
}

export interface NextRunProps {
    card: string;
    reader: string;
    why: string;
}

export interface OfferProps {
    key: string;
    name: string;
    seller: string;
    line: string;
    price: string;
    perGigabyte: number;
    perTerabyte: string;
    perSpeed: string;
    keepsUp: number | null;
    promises: number | null;
    tested: string;
    failed: string;
    reader: string;
    passes: boolean;
    isOnFrontier: boolean;
}

export interface OffloadPage {
    card: CardProps;
    amount: string;
    routes: RouteProps[];
    count: number;
    leftOut: string[];
    margin: MarginProps;
}

export interface OffloadProps {
    id: number;
    name: string;
    began: string;
    cards: number;
    secured: number;
    isOver: boolean;
}

export interface OpinionPage {
    opinions: OpinionsProps | null;
}

export interface OpinionProps {
    name: string;
    label: string;
    verdict: VerdictKind;
    next: string;
    reasons: ReasonProps[];
    differs: string[];
    because: string;
}

export interface OpinionsProps {
    file: string;
    cases: OpinionProps[];
    count: number;
    expected: number | null;
    differing: number;
}

export interface OrderProps {
    slots: SlotProps[];
    shelf: SimulatedProps[];
    last: number | null;
    asksReinserted: boolean;
    unsecured: string | null;
}

export interface OtherPlanProps {
    words: string;
    goal: string;
    scheme: string;
    done: number;
    free: number;
    hands: number;
    isShown: boolean;
}

export interface OutcomeProps {
    begun: string;
    free: string;
    done: string;
    note: string;
    took: number | null;
    words: string | null;
}

export interface OverruleProps {
    verdict: VerdictKind;
    reason: string;
    by: string;
    on: string;
}

export interface PackedCardProps {
    tag: string;
    slot: string;
    lasts: string;
    isProven: boolean;
    share: number;
    words: string;
}

export interface PackedPlaceProps {
    name: string;
    isSpare: boolean;
    needs: string;
    has: string;
    misses: string;
    cards: PackedCardProps[];
}

export interface PackedProps {
    places: PackedPlaceProps[];
    evenings: EveningProps[];
}

export interface PairProps {
    name: string;
    first: number;
    second: number;
    tendency: string;
}

export interface PassageProps {
    kind: string;
    tag: string;
    words: string;
    from: number;
    to: number;
    began: number | null;
    until: number | null;
    isOver: boolean;
}

export interface PasswordPage {
    name: string;
    must: boolean;
    least: number;
}

export interface PatchProps {
    class: BlockClass;
    offset: number;
    length: number;
    source: number | null;
}

export interface PeoplePage {
    people: PersonProps[];
    roles: RoleProps[];
    signIns: SignInProps[];
    once: GivenPasswordProps | null;
}

export interface PersonProps {
    id: number;
    name: string;
    role: Role;
    disabled: boolean;
    mustChange: boolean;
    since: string;
}

export interface PhotoProps {
    side: string;
    url: string;
    width: number;
    height: number;
}

export interface PickProps {
    criterion: string;
    offer: string | null;
    sentence: string;
}

export interface PlaceProps {
    id: number;
    label: string;
}

export interface PlanPage {
    plan: PlanPictureProps;
    ticked: string[];
    holds: string[];
    leftOut: string[];
    rests: RestsOnProps[];
    isTimed: boolean;
    isLong: boolean;
    saved: SavedPlanProps[];
    rules: PlanRulesProps;
    person: string;
    isMadeUp: boolean;
    today: string;
    places: MountedProps[];
    patterns: string[];
    warnings: string[];
    offloads: OffloadProps[];
    planKey: string;
    before: ShownPlanProps | null;
}

export interface PlanPictureProps {
    amount: string;
    copies: number;
    readsBack: boolean;
    done: number;
    free: number;
    hands: number;
    bound: number;
    cards: PlannedCardProps[];
    cabled: CabledProps[];
    lanes: LaneProps[];
    flows: FlowProps[];
    loads: LoadProps[];
}

export interface PlanRulesProps {
    goal: string;
    copies: string;
    verify: string;
    scheme: string;
    hands: string;
    swap: string;
    previews: string;
}

export interface PlannedCardProps {
    tag: string;
    label: string;
    amount: string;
    slot: string;
    drives: string[];
    how: string;
    in: number;
    free: number;
    clear: number | null;
}

export interface PracticeAnswerProps {
    verdict: VerdictKind;
    holds: string;
    keeps: string;
    was: string;
    called: string;
    mistakes: string[];
    reasons: ReasonProps[];
    way: PracticeMoveProps[];
    shortest: string;
    took: string;
}

export interface PracticeDoneProps {
    clock: string;
    what: string;
    finds: string;
}

export interface PracticeLevelProps {
    level: number;
    words: string;
    rounds: number;
    right: number;
}

export interface PracticeMoveProps {
    id: string;
    words: string;
    takes: string;
    isDone: boolean;
}

export interface PracticePage {
    levels: PracticeLevelProps[];
    mistakes: MistakeProps[];
    rounds: PracticeRoundProps[];
    open: number | null;
    person: string;
}

export interface PracticeRoundPage {
    id: number;
    level: number;
    levelWords: string;
    seed: number;
    label: string;
    first: string;
    asks: string;
    readers: string[];
    clock: string;
    done: PracticeDoneProps[];
    moves: PracticeMoveProps[];
    claimLine: ClaimLineProps;
    core: CoreProps | null;
    answer: PracticeAnswerProps | null;
    person: string;
}

export interface PracticeRoundProps {
    id: number;
    level: number;
    seed: number;
    was: string;
    wrong: string;
    on: string;
}

export interface PreviewProps {
    line: LineProps | null;
    promises: PromiseProps[];
    silent: string[];
    findings: ReasonProps[];
    market: string;
    reach: ReachProps[];
}

export interface PricesPage {
    references: ReferenceProps[];
    quotes: QuoteProps[];
    forms: ChoiceProps[];
    tiers: ChoiceProps[];
    today: string;
}

export interface ProgressProps {
    phase: string;
    run: number;
    at: number;
    of: number;
    share: number;
    rate: number | null;
    left: string | null;
}

export interface PromiseProps {
    mark: string;
    megabytes: string;
    megabits: string;
}

export interface ProvePage {
    card: CardProps;
    core: CoreProps | null;
    unfinished: UnfinishedProofProps | null;
    ways: ProvingWaysProps | null;
    erasures: ErasureProps[];
    theirs: TheirsProps[];
    by: string;
    running: RunningProps | null;
    order: OrderProps;
    margin: MarginProps;
}

export interface ProvingWayProps {
    expected: string;
    writes: string;
    proves: string;
    leaves: string;
}

export interface ProvingWaysProps {
    proof: ProvingWayProps;
    screen: ProvingWayProps;
    recommended: string;
    reason: string;
}

export interface PulseProps {
    frame: FrameProps;
    tray: TagProps[];
    anew: boolean;
    mark: string;
    running: RunningProps | null;
}

export interface PurchaseProps {
    id: number;
    tag: string;
    name: string;
    on: string;
    price: string;
    hoped: string;
    saved: string;
    share: number;
    words: string;
    open: number;
}

export interface QuestionProps {
    key: string;
    asks: string;
    how: string;
    source: string;
    inReader: boolean;
    answers: AnswerProps[];
    given: string | null;
    seen: string | null;
    trouble: boolean;
    code: string;
}

export interface QuoteProps {
    id: number;
    kind: string;
    capacity: string;
    price: string;
    perGigabyte: string;
    on: string;
    source: string;
}

export interface RangeProps {
    early: number;
    middle: number;
    late: number;
}

export interface ReachProps {
    reader: string;
    rate: string | null;
    why: string;
}

export interface ReasonProps {
    bearing: VerdictKind | null;
    lead: string;
    rest: string;
    evidence: string;
    look: string | null;
}

export interface ReferenceProps {
    form: string;
    tier: string;
    currency: string;
    median: number;
    words: string;
    quotes: number[];
    cards: ForSaleProps[];
}

export interface ReportPage {
    from: string;
    to: string;
    report: ReportProps | null;
    person: string;
}

export interface ReportProps {
    id: number;
    title: string;
    steps: number;
    taken: number;
    isDone: boolean;
    parts: ReportRowsProps[];
    struck: StruckProps[];
    how: string;
}

export interface ReportRowsProps {
    title: string;
    rows: FactProps[];
}

export interface RestsOnProps {
    name: string;
    rate: string;
    origin: string;
    how: string;
    range: string;
    thing: string;
}

export interface RetiredProps {
    on: string;
    why: string;
    by: string;
}

export type Role = 'lead' | 'technician' | 'viewer';

export interface RoleProps {
    role: Role;
    may: string;
}

export interface RouteProps {
    reader: string;
    host: string;
    drive: string;
    links: LinkProps[];
    pinch: string;
    rate: number;
    copy: string;
    verify: string;
    total: string;
    seconds: number;
}

export interface RuleChangeProps {
    tag: string;
    from: VerdictKind;
    to: VerdictKind;
}

export interface RuleDraftProps {
    id: number;
    words: string;
    why: string;
    cards: number;
    looked: number;
    isDone: boolean;
    changes: RuleChangeProps[];
}

export interface RuleProps {
    key: string;
    name: string;
    value: string;
    standard: string;
    source: string;
    changed: string;
}

export interface RulesPage {
    rules: RuleProps[];
    judge: JudgeRulesProps;
    due: DueRulesProps;
    fit: FitRulesProps;
    plan: HandTimesProps;
    draft: RuleDraftProps | null;
    cards: number;
    person: string;
}

export type RunKind = 'speed' | 'sustained' | 'files' | 'copy' | 'proof' | 'screen';

export interface RunPage {
    card: CardProps;
    run: RunSheetProps;
    person: string;
    margin: MarginProps;
}

export interface RunProps {
    id: number;
    kind: RunKind;
    name: string;
    state: RunState;
    chain: string;
    region: string;
    write: number | null;
    read: number | null;
    variation: number | null;
    note: string;
    struck: boolean;
}

export interface RunSheetProps {
    id: number;
    title: string;
    tag: string;
    counts: boolean;
    going: boolean;
    facts: FactProps[];
    ways: WayProps[];
    words: string[];
    course: CourseProps | null;
    copy: CopyProps | null;
    heat: HeatProps[];
    heatLimits: string;
    voids: VoidProps[];
    void: VoidProps | null;
}

export type RunState = 'waiting' | 'running' | 'done' | 'stopped' | 'failed' | 'interrupted';

export interface RunningProps {
    id: number;
    kind: string;
    waiting: boolean;
    stopping: boolean;
    runs: number;
    progress: ProgressProps | null;
    away: string | null;
}

export interface SavedPlanPage {
    id: number;
    name: string;
    made: string;
    goal: string;
    plan: PlanPictureProps;
    range: RangeProps;
    today: number;
    changed: ChangedRateProps[];
    rests: RestsOnProps[];
    outcome: OutcomeProps;
    planKey: string;
    person: string;
    isMadeUp: boolean;
    day: string;
    places: MountedProps[];
    patterns: string[];
    before: ShownPlanProps | null;
}

export interface SavedPlanProps {
    id: number;
    name: string;
    on: string;
    done: number;
    took: number | null;
}

export interface SeenProps {
    id: number;
    card: string;
    question: string;
    answer: string;
    reader: string | null;
    by: string;
    on: string;
    trouble: boolean;
    withdrawn: string | null;
}

export interface SellerProps {
    name: string;
    cards: number;
    counts: VerdictCountProps[];
    bad: string;
    low: number;
    high: number;
    tags: string[];
}

export interface SellersPage {
    sellers: SellerProps[];
    lots: SellerProps[];
}

export interface ShootModeProps {
    key: string;
    label: string;
    isStills: boolean;
    isRelay: boolean;
    records: string;
}

export interface ShootPage {
    days: string;
    home: string;
    extra: string;
    wanted: WantedProps[];
    modes: ShootModeProps[];
    ticked: string[];
    packed: PackedProps;
    left: string[];
    buys: string[];
    missing: string;
    proof: string;
    criterion: string;
    laden: string[];
    more: number;
    kept: KeptShootProps[];
    today: string;
    person: string;
}

export interface ShownPlanProps {
    key: string;
    done: number;
    hands: number;
}

export interface SideProps {
    name: string;
    rates: number[];
    mean: number;
    margin: number | null;
    lower: number;
    median: number;
    upper: number;
}

export interface SightingProps {
    card: string;
    run: string;
    write: number | null;
    read: number | null;
    region: string;
}

export interface SignInPage {
    to: string;
}

export interface SignInProps {
    id: number;
    on: string;
    name: string;
    outcome: string;
    from: string;
}

export interface SimulatedProps {
    key: string;
    words: string;
}

export type SlotKind = 'folder' | 'raw' | 'stand-in';

export interface SlotProps {
    id: number;
    name: string;
    kind: SlotKind;
    lies: LiesProps | null;
    refusal: string | null;
    chain: string;
    pinch: string;
    plain: string | null;
    expected: string | null;
}

export interface SpareProps {
    shoot: number;
    name: string;
    begins: string;
    what: string;
    card: string;
    trouble: string;
}

export interface StageProps {
    key: string;
    label: string;
    waiting: number;
}

export interface StepProps {
    words: string;
    detail: string;
    href: string | null;
}

export interface StopProps {
    id: number;
    camera: string;
    mode: string | null;
    cause: string;
    isTheCards: boolean;
    after: string | null;
    by: string;
    on: string;
}

export interface StruckProps {
    tag: string;
    name: string;
    verdict: VerdictKind;
    why: string;
}

export interface SwapProps {
    words: string;
    at: number;
    isDone: boolean;
}

export interface TagProps {
    tag: string;
    line: string;
    verdict: VerdictKind;
    overruled: VerdictKind | null;
    runs: number;
    going: boolean;
    badLot: string | null;
    footage: string | null;
    due: boolean;
    retired: boolean;
}

export interface TagSheetProps {
    cards: string;
    tags: string[];
    unknown: string[];
    sheet: string;
    columns: number;
    rows: number;
    begin: number;
    href: string | null;
}

export interface TagsPage {
    sheet: TagSheetProps;
    kinds: ChoiceProps[];
}

export interface TheirsProps {
    id: number;
    verdict: VerdictKind;
    runs: number;
    madeAt: string;
    by: string;
    readIn: string;
}

export interface TraceProps {
    size: number;
    write: [number, number][];
    read: [number, number][];
}

export interface TwinGroupProps {
    chain: string;
    members: TwinProps[];
    sharedBackCode: string | null;
    words: string;
}

export interface TwinProps {
    tag: string;
    name: string;
    seller: string | null;
    price: string | null;
    backCode: string | null;
    write: number;
    read: number;
    runs: number;
}

export interface TwinsPage {
    groups: TwinGroupProps[];
}

export interface TypedCheckProps {
    rate: string | null;
    sentence: string | null;
    wrong: boolean;
}

export interface TypedPage {
    card: CardProps;
    chain: ChainChoicesProps;
    today: string;
    person: string;
    margin: MarginProps;
}

export interface UnfinishedProofProps {
    run: number;
    where: string;
    again: boolean;
}

export interface UpdateProps {
    id: number;
    on: string;
    changes: number;
    backup: string;
    verdicts: ChangedVerdictProps[];
}

export interface UpdatesPage {
    updates: UpdateProps[];
}

export interface VerdictCountProps {
    kind: VerdictKind;
    cards: number;
}

export type VerdictKind = 'Sham' | 'Shaky' | 'Slow' | 'Unproven' | 'Sound';

export interface VoidProps {
    reason: string;
    by: string;
    on: string;
    withdrawn: string | null;
}

export interface WallProps {
    name: string;
    rate: number;
}

export interface WantedProps {
    mode: string;
    daily: string;
    days: string;
    spare: boolean;
}

export interface WayProps {
    way: string;
    rates: number[];
    apart: number[];
    mean: number;
    median: number;
    deviation: number | null;
    margin: number | null;
    variation: number | null;
    notes: string[];
    suspicion: string | null;
}

export interface WhatIfProps {
    words: string;
    saves: number;
    isBought: boolean;
    worth: string | null;
}

export interface WhoProps {
    name: string | null;
    role: string;
    may: Ability[];
    welcome: string | null;
}

export interface WorthPage {
    purchases: PurchaseProps[];
    kit: ChoiceProps[];
    today: string;
    person: string;
}

export interface WrongCopyProps {
    copy: number;
    drive: string;
    lead: string;
    found: string[];
    stay: string;
    hangs: boolean;
    drives: string[];
    isReal: boolean;
    grown: number | null;
}
