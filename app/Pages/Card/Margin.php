<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\When;
use App\Shoot\ReasonProps;
use Illuminate\Support\Collection;
use Tally\Quantity\Temperature;
use Tally\Record\RunKind;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\ReasonId;
use Tally\Verdict\Step;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/**
 * The margin beside a card, at one of the stages.
 *
 * @phpstan-type MarginProps array{ // Why the verdict is what it is, what to take care of, what to do next.
 *     verdict: VerdictKind,
 *     reasons: list<ReasonProps>,
 *     cautions: list<CautionProps>,
 *     next: StepProps,
 *     tag: string,
 *     person: string, // who is at the bench, as far as known
 *     overrule: OverruleProps|null, // what a person says instead
 * }
 * @phpstan-type OverruleProps array{ // What a person says of the card instead, and why.
 *     verdict: VerdictKind,
 *     reason: string,
 *     by: string,
 *     on: string,
 * }
 */
final readonly class Margin
{
    /**
     * @param  Collection<int, Run>  $runs
     * @param  string|null  $by  who is at the bench
     * @return MarginProps
     */
    public static function at(string $stage, Card $card, Collection $runs, ?string $by): array
    {
        $evidence = CardEvidence::of($card, $runs);
        $verdict = Judge::judge($evidence);

        return [
            'verdict' => $verdict->kind,
            'reasons' => array_map(self::reason(...), [...$verdict->reasons, ...self::notes($stage, $verdict)]),
            'cautions' => self::cautions($stage, $card, $verdict, $runs),
            'next' => self::step($verdict->nextWhen($card->overruled), $card->tag),
            'tag' => $card->tag,
            'person' => $by ?? '',
            'overrule' => self::overrule($card),
        ];
    }

    public static function reason(Reason $reason): ReasonProps
    {
        return new ReasonProps($reason->bearing, $reason->lead(), $reason->rest(), $reason->evidence, look: self::look($reason->topic));
    }

    /** The part of the handbook that says more. */
    private static function look(Topic $topic): string
    {
        return match ($topic) {
            Topic::Label, Topic::SpeedClass => 'marks',
            Topic::Write, Topic::Read, Topic::Sustained => 'buses',
            Topic::Contact => 'cautions',
            Topic::Capacity, Topic::Repeat, Topic::Price => 'rules',
        };
    }

    /** @return list<Reason> what bears nothing: of the label where the label is looked at, of figures where they are */
    private static function notes(string $stage, Verdict $verdict): array
    {
        $isLabel = $stage === 'intake' || $stage === 'inspect';

        return array_values(array_filter($verdict->notes, fn (Reason $note): bool => $isLabel || $note->id instanceof ReasonId));
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<CautionProps>
     */
    private static function cautions(string $stage, Card $card, Verdict $verdict, Collection $runs): array
    {
        $kind = $card->overruled ?? $verdict->kind;
        $isLaden = ! $card->footage->isZero();
        $hot = $runs->contains(fn (Run $run): bool => $run->state->isGoing());
        $warmest = $stage === 'measure' ? self::warmest($runs) : null;
        [$hurts, $cool] = [Temperature::celsius(Temperature::HURTS)->print(), Temperature::celsius(Temperature::HANDLE)->print()];
        $rules = 'Your local rules and the maker’s instructions come first.';

        return array_values(
            array_filter([
                $kind === VerdictKind::Sham
                    ? new CautionProps(
                        'Never put footage on it.',
                        $verdict->on(Topic::Capacity) === VerdictKind::Sham
                            ? 'It keeps less than it shows: clips are lost, and no camera notices.'
                            : 'It is not what its label says.',
                    )
                    : null,
                $kind === VerdictKind::Shaky
                    ? new CautionProps('Do not record on it.', 'What it does one day it may not do the next.')
                    : null,
                $kind->isStruckOut() && $isLaden
                    ? new CautionProps(
                        'It carries footage.',
                        'Copy that now, alone, write nothing more to it, and open the clips before you trust them. Keep the card: '.
                        'recovering data is work for qualified people.',
                    )
                    : null,
                $stage === 'inspect'
                    ? new CautionProps(
                        'Never force a stiff slot.',
                        "A forced card snaps. Let one that was hot cool before you handle it. {$rules}",
                    )
                    : null,
                $stage === 'measure' && $hot
                    ? new CautionProps(
                        'Hot after a long run.',
                        "Metal at {$hurts} hurts within seconds: let it cool below {$cool} before you take it out bare-handed. {$rules}",
                    )
                    : null,
                $warmest === null || ! $warmest->isTooHotToHandle()
                    ? null
                    : new CautionProps(
                        "It was seen at {$warmest->both()}.",
                        ($warmest->hurts() ? 'Metal this hot hurts within seconds.' : 'That is too warm to hold.').
                            " Let it cool below {$cool} before you take it out bare-handed. {$rules}",
                    ),
                $stage === 'measure' && ! $hot
                    ? new CautionProps(
                        'Slow and steady into a stiff slot.',
                        'A forced card snaps. One that reads only while pressed is not to be trusted.',
                    )
                    : null,
                $stage === 'prove'
                    ? new CautionProps(
                        'In a folder only free space is filled.',
                        'On an honest card your own files stay as they are; one that starts over writes onto them. Bring footage home '.
                        'first. A raw run erases everything.',
                    )
                    : null,
                $stage === 'prove'
                    ? new CautionProps(
                        'A proof wears the card a little',
                        "by one full write, and it can come out hot: metal at {$hurts} hurts within seconds, so let it cool ".
                        "below {$cool}. {$rules}",
                    )
                    : null,
                $stage === 'offload'
                    ? new CautionProps('Clear no card yet.', 'Not before two copies exist and both have been read back.')
                    : null,
            ]),
        );
    }

    /**
     * In the newest long write, as the medium told or somebody read it off.
     *
     * @param  Collection<int, Run>  $runs
     */
    private static function warmest(Collection $runs): ?Temperature
    {
        $run = $runs->last(fn (Run $run): bool => $run->kind === RunKind::Sustained && $run->result !== null);
        if ($run === null) {
            return null;
        }
        $noted = $run->heat()->max('celsius');
        $degrees = array_filter([$run->sustained()?->warmest, is_numeric($noted) ? (float) $noted : null], is_float(...));

        return $degrees === [] ? null : Temperature::celsius(max($degrees));
    }

    /** @return OverruleProps|null */
    private static function overrule(Card $card): ?array
    {
        $standing = $card->overruled === null ? null : $card->overrules()->whereNull('withdrawn')->first();

        return $standing === null
            ? null
            : [
                'verdict' => $standing->verdict,
                'reason' => $standing->reason,
                'by' => $standing->recorded_by,
                'on' => $standing->created_at->format(When::DAY),
            ];
    }

    private static function step(Step $next, string $tag): StepProps
    {
        return match ($next) {
            Step::Inspect => new StepProps($next->words(), 'one question at a time, answered by key', "/inspect/{$tag}"),
            Step::Measure => new StepProps($next->words(), 'several runs, on a named chain', "/measure/{$tag}"),
            Step::MeasureAgain => new StepProps($next->words(), 'two runs that agree stand', "/measure/{$tag}"),
            Step::Prove => new StepProps($next->words(), 'written all over and read back', "/prove/{$tag}"),
            Step::ProveAgain => new StepProps(
                $next->words(),
                'the same end in two readers is where its memory ends',
                "/prove/{$tag}",
            ),
            Step::RecordLess => new StepProps($next->words(), 'less than its label says; it can go back to who sold it', "/fit/{$tag}"),
            Step::Offload => new StepProps($next->words(), 'over the readers, ports and drives at hand', "/offload/{$tag}"),
            Step::SetAside => new StepProps($next->words(), 'it stays out of every plan', null),
        };
    }
}
