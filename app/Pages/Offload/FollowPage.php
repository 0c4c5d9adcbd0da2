<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Models\Cards\FootageAct;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Offload\WhyRefused;
use App\Models\When;
use App\Offload\Carrying\ConfirmSwap;
use App\Offload\Carrying\HowItGoes;
use App\Offload\Carrying\Secured;
use App\Offload\Carrying\Standing;
use App\Pages\Page;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/**
 * An offload while it is carried out: what hands are to do now, how it stands to its plan, and what may be cleared.
 *
 * @phpstan-import-type FollowLaneProps from FollowLanes
 * @phpstan-import-type WrongCopyProps from WrongCopies
 *
 * @phpstan-type DriveCopyProps array{ // One copy of a card: shares of its bytes, 0 to 1.
 *     drive: string,
 *     copied: float,
 *     verified: float,
 *     mark: string, // its shape: right, wrong, not yet, copied or going
 *     words: string, // where it stands
 *     since: string, // what is known of it since it was read back, and when; empty before
 * }
 * @phpstan-type FollowNowProps array{ // What changes of an offload while it goes on. Times are seconds of its own from its beginning.
 *     state: string, // going, ending or ended
 *     now: float,
 *     done: float, // when all will be safe, or was
 *     safeAt: string, // the same, as a clock shows it: `22:58`
 *     amount: string,
 *     hands: list<HandProps>, // the first one now
 *     next: string, // what hands wait for where there is nothing to do
 *     lanes: list<FollowLaneProps>,
 *     swaps: list<SwapProps>,
 *     cards: list<HomeCardProps>,
 *     reasons: list<string>, // what time was lost or won by
 *     wrong: list<WrongCopyProps>, // copies that are not as they should be
 *     notes: list<string>, // what was left out, or is less than was marked
 *     secured: int, // cards that may be cleared, or were
 *     clear: string,
 *     maySearchAnew: bool,
 * }
 * @phpstan-type HandProps array{ // Something for hands to do.
 *     card: int, // of this offload
 *     tag: string,
 *     words: string, // what to do
 *     detail: string, // what to know of it
 *     waits: float, // seconds that it has been waiting
 *     choices: list<string>, // what may lie in a made-up slot; none where it is real
 *     isSwap: bool, // whether another card comes out first
 *     refused: string|null, // why what lies there was not taken for it
 *     said: string|null, // what somebody may say of it all the same, with a name; null where nobody may
 * }
 * @phpstan-type HomeCardProps array{ // A card that comes home.
 *     tag: string,
 *     amount: string,
 *     files: string,
 *     folder: string,
 *     copies: list<DriveCopyProps>,
 *     clear: string, // whether it may be cleared, or about when
 *     mayBeCleared: bool,
 *     isCleared: bool,
 * }
 * @phpstan-type SwapProps array{ // When hands put a card in, or are to. Seconds from the beginning.
 *     words: string,
 *     at: float,
 *     isDone: bool,
 * }
 */
final readonly class FollowPage extends Page
{
    /** Nearer than this it is on time: seconds. */
    private const ON_TIME = 5.0;

    /**
     * @param  string  $began  the time of day, and the day
     * @param  float  $planned  when all was to be safe by the first plan; seconds from the beginning
     * @param  float|null  $pace  seconds of made-up time in one of ours; null where it is real
     * @param  FollowNowProps  $first
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $began,
        public int $beganAt,
        public float $planned,
        public ?float $pace,
        public array $first,
        public string $person,
        public ?string $said,
    ) {}

    public static function of(Offload $offload, ?string $person): self
    {
        $said = session('said');

        return new self(
            $offload->id,
            $offload->name,
            $offload->began_at->format(When::THESE_DAYS),
            $offload->began_at->getTimestamp(),
            planned: $offload->planned,
            pace: $offload->is_made_up ? $offload->pace : null,
            first: self::now($offload),
            person: $person ?? '',
            said: is_string($said) ? $said : null,
        );
    }

    /** @return FollowNowProps */
    public static function now(Offload $offload): array
    {
        $offload->load('cards.copies', 'cards.card');
        $now = $offload->ended_at ?? now();
        $plan = $offload->plan();
        $goes = HowItGoes::of($offload, $plan, $now);
        $seconds = $offload->seconds($now);
        $hands = self::hands($offload, $goes, $seconds);

        return [
            'state' => $offload->state->value,
            'now' => $seconds,
            'done' => $goes->done($offload),
            'safeAt' => self::minute($offload, $goes->done($offload)),
            'amount' => self::amount($offload),
            'hands' => $hands,
            'next' => $hands !== [] || $offload->state !== OffloadState::Going ? '' : self::next($offload, $goes),
            'lanes' => FollowLanes::of($offload, $seconds),
            'swaps' => self::swaps($offload, $goes),
            'cards' => array_values(
                $offload->cards->sortBy('place')->map(fn (OffloadCard $card): array => self::card($card, $goes))->all(),
            ),
            'reasons' => self::reasons($offload, $goes),
            'wrong' => WrongCopies::of($offload, now()),
            'notes' => self::notes($offload),
            'secured' => $offload->cards->filter(fn (OffloadCard $card): bool => $card->clear_at !== null)->count(),
            'clear' => self::clear($offload, $goes),
            'maySearchAnew' => $offload->state === OffloadState::Going && $offload->cards->contains(
                fn (OffloadCard $card): bool => $card->in_at === null,
            ),
        ];
    }

    private static function amount(Offload $offload): string
    {
        $all = $home = 0;
        foreach ($offload->cards as $card) {
            $all += $card->bytes;
            $verified = $card->copies->map(fn (OffloadCopy $copy): int => min($copy->verified, $card->bytes))->all();
            $home += $verified === [] ? 0 : min($verified);
        }

        return Bytes::of($home)->decimal().' of '.Bytes::of($all)->decimal().' read back everywhere';
    }

    /** @return list<HandProps> */
    private static function hands(Offload $offload, HowItGoes $goes, float $now): array
    {
        $tags = array_values($offload->cards->map(fn (OffloadCard $card): string => $card->card->tag)->all());

        return array_map(function (OffloadCard $card) use ($offload, $now, $tags): array {
            $before = ConfirmSwap::before($card);
            $since = $before?->free_at === null ? 0.0 : $offload->seconds($before->free_at);
            $tag = $card->card->tag;

            return [
                'card' => $card->id,
                'tag' => $tag,
                'words' => $before === null
                    ? "Put {$tag} into {$card->slot}"
                    : "Take {$before->card->tag} out of {$card->slot}, put {$tag} in",
                'detail' => $before === null
                    ? 'Slowly and straight; none is forced. Then say so.'
                    : "{$before->card->tag} is copied".($before->clear_at === null
                        ? '. It stays unwritten in its case until it may be cleared.'
                        : ' and read back twice. A hot card cools before it is handled.'),
                'waits' => max(0.0, $now - $since),
                'choices' => $offload->is_made_up ? $tags : [],
                'isSwap' => $before !== null,
                'refused' => $card->refused,
                'said' => match ($card->refused_for) {
                    WhyRefused::Looks => "It is {$tag} all the same",
                    WhyRefused::Less => "This is all of {$tag}: secure it in part",
                    WhyRefused::More => "This is {$tag}: more was recorded on it",
                    default => null,
                },
            ];
        }, ConfirmSwap::now($offload));
    }

    private static function next(Offload $offload, HowItGoes $goes): string
    {
        $waiting = $offload->cards->filter(fn (OffloadCard $card): bool => $card->in_at === null)->sortBy('place')->first();
        if ($waiting === null) {
            return 'All cards are in. Nothing more for hands until the last one is free.';
        }
        $at = $goes->course->in[$waiting->place] ?? null;

        return "Next: {$waiting->card->tag} into {$waiting->slot}".($at === null ? '' : ', at about '.self::clock($offload, $at)).'.';
    }

    /** @return list<SwapProps> */
    private static function swaps(Offload $offload, HowItGoes $goes): array
    {
        return array_values(
            $offload->cards
                ->map(
                    fn (OffloadCard $card): array => [
                        'words' => "{$card->card->tag} into {$card->slot}",
                        'at' => $card->in_at === null
                            ? $goes->course->in[$card->place] ?? $card->planned_in
                            : $offload->seconds($card->in_at),
                        'isDone' => $card->in_at !== null,
                    ],
                )
                ->all(),
        );
    }

    /** @return HomeCardProps */
    private static function card(OffloadCard $card, HowItGoes $goes): array
    {
        $clear = $goes->course->clear[$card->place] ?? null;
        $isCleared = $card->clear_at !== null && $card->card->footage->isZero();
        $isNewer = self::isNewer($card);
        $bad = $card->copies->first(fn (OffloadCopy $copy): bool => $copy->state === CopyState::Failed || self::fell($copy));

        return [
            'tag' => $card->card->tag,
            'amount' => Bytes::of($card->bytes)->decimal(),
            'files' => $card->files === 0 ? '' : (string) $card->files,
            'folder' => $card->folder,
            'copies' => array_values($card->copies->map(fn (OffloadCopy $copy): array => self::copy($card, $copy))->all()),
            'clear' => match (true) {
                $isCleared => 'cleared',
                $isNewer => 'no: newer footage is on it',
                $card->less_by !== null => 'no: secured in part',
                $card->clear_at !== null => 'may be cleared',
                $card->refused_for === WhyRefused::Grown => 'no: it was written to since',
                $bad !== null => self::fell($bad) ? "no: {$bad->drive} is in doubt" : "no: {$bad->drive} is wrong",
                count($card->drives) < 2 => 'no: one copy alone',
                $clear === null => 'not yet',
                Standing::devices($card) < 2 && $card->copies->every(fn (OffloadCopy $copy): bool => $copy->stands()) => 'no: one device',
                default => 'not before '.self::clock($card->offload, $clear),
            },
            'mayBeCleared' => $card->clear_at !== null && ! $isNewer,
            'isCleared' => $isCleared,
        ];
    }

    /** Whether other footage is on it by now: what was marked since is on no drive. */
    private static function isNewer(OffloadCard $card): bool
    {
        if ($card->in_at === null || $card->card->footage->isZero()) {
            return false;
        }
        $record = Secured::record($card->card);

        return $record === null || $record->id !== $card->footage_act_id;
    }

    /** It was read back, and counts no more. */
    private static function fell(OffloadCopy $copy): bool
    {
        return $copy->state === CopyState::Verified && ! $copy->stands();
    }

    /** @return DriveCopyProps */
    private static function copy(OffloadCard $card, OffloadCopy $copy): array
    {
        $share = fn (int $bytes): float => $card->bytes === 0 ? 1.0 : min(1.0, $bytes / $card->bytes);
        $copied = $share($copy->copied);
        $verified = $share($copy->verified);

        return [
            'drive' => $copy->drive,
            'copied' => $copied,
            'verified' => $verified,
            'mark' => match (true) {
                $copy->state === CopyState::Failed, self::fell($copy) => 'wrong',
                $copy->state === CopyState::Verified => 'right',
                $copy->state === CopyState::Copied => 'copied',
                $copy->state->isGoing() && $copy->state !== CopyState::Ordered => 'going',
                default => 'not yet',
            },
            'words' => match ($copy->state) {
                CopyState::Waiting, CopyState::Ordered => 'not yet',
                CopyState::Copying => sprintf('%d %% copied', (int) floor(100 * $copied)),
                CopyState::Copied => 'copied',
                CopyState::Reading => sprintf('%d %% reading back', (int) floor(100 * $verified)),
                CopyState::Verified => self::fell($copy) ? $copy->standing->value ?? '' : 'right',
                CopyState::Failed => 'wrong',
            },
            'since' => $copy->standing === null || $copy->state !== CopyState::Verified
                ? ''
                : $copy->standing->words($copy->standing_at?->format(When::THESE_DAYS) ?? ''),
        ];
    }

    /** @return list<string> what no copy has, and why */
    private static function notes(Offload $offload): array
    {
        $notes = [];
        foreach ($offload->cards as $card) {
            $found = $card->found;
            if ($card->less_by !== null) {
                $marked = FootageAct::query()->find($card->footage_act_id);
                $was = $marked === null
                    ? 'less than was marked was found'
                    : Bytes::of($marked->bytes)->decimal().($marked->files === 0 ? '' : " in {$marked->files} files").' were marked, '.
                        Bytes::of($found->bytes ?? 0)->decimal()." in {$found?->files} files found";
                $notes[] = "{$card->card->tag}: {$was}, and {$card->less_by} said that this is right. It is secured in part.";
            }
            if ($found !== null && $found->leftOutCount > 0) {
                $more = $found->leftOutCount > count($found->leftOut) ? ' …' : '';
                $notes[] = "{$card->card->tag}: left out, since they are no files or cannot be read: ".implode(', ', $found->leftOut).$more;
            }
        }

        return $notes;
    }

    /** @return list<string> */
    private static function reasons(Offload $offload, HowItGoes $goes): array
    {
        $reasons = array_map(
            fn ($one): string => "{$one->thing} gave ".Rate::bytesPerSecond($one->gave)->print().', not the '.
                Rate::bytesPerSecond($one->reckoned)->print().' reckoned with.',
            $goes->less,
        );
        if ($goes->byHands > self::ON_TIME) {
            $reasons[] = 'Cards waited for hands '.Span::seconds($goes->byHands)->print().' longer than planned.';
        }
        if ($offload->plans > 1) {
            $reasons[] = 'Planned anew '.($offload->plans === 2 ? 'once.' : ($offload->plans - 1).' times.');
        }

        return $reasons;
    }

    private static function clear(Offload $offload, HowItGoes $goes): string
    {
        $may = $offload->cards->filter(fn (OffloadCard $card): bool => $card->clear_at !== null && ! self::isNewer($card))->count();
        $all = $offload->cards->count();
        if ($may === $all) {
            return 'Every card may be cleared: two copies of each, on two drives, were read back, and nothing else was found since.';
        }
        $soonest = $goes->course->clear === [] ? null : min($goes->course->clear);

        return match (true) {
            $may > 0 => "{$may} of {$all} may be cleared. The others not yet.",
            $soonest === null || $offload->isOver() => 'No card may be cleared.',
            default => 'No card may be cleared yet. The first one may at about '.self::clock($offload, $soonest).'.',
        };
    }

    /** What is promised is rounded up. */
    private static function minute(Offload $offload, float $seconds): string
    {
        return $offload->began_at->copy()->addSeconds((int) ceil($seconds))->ceilMinute()->format('H:i');
    }

    private static function clock(Offload $offload, float $seconds): string
    {
        return $offload->began_at->copy()->addSeconds((int) round($seconds))->format('H:i:s');
    }
}
