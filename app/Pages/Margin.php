<?php

declare(strict_types=1);

namespace App\Pages;

use App\Evidence\CardEvidence;
use App\Models\Card;
use App\Models\Run;
use App\Props\Margin\CautionProps;
use App\Props\Margin\MarginProps;
use App\Props\Margin\ReasonProps;
use App\Props\Margin\StepProps;
use App\Runs\RunKind;
use App\Runs\SustainedRecord;
use Illuminate\Support\Collection;
use Tally\Label\Finding;
use Tally\Label\Severity;
use Tally\Quantity\Temperature;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\Step;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/** The margin beside a card, at one of the stages. */
final readonly class Margin
{
    /** @param  Collection<int, Run>  $runs */
    public static function at(string $stage, Card $card, Collection $runs): MarginProps
    {
        $evidence = CardEvidence::of($card, $runs);
        $verdict = Judge::judge($evidence);

        return new MarginProps(
            $verdict->kind,
            [...array_map(self::reason(...), $verdict->reasons), ...($stage === 'intake' || $stage === 'inspect' ? self::findings($evidence) : [])],
            self::cautions($stage, $verdict, $runs),
            self::next($card, $verdict),
        );
    }

    private static function reason(Reason $reason): ReasonProps
    {
        return new ReasonProps($reason->bearing, $reason->lead, $reason->rest, $reason->evidence);
    }

    /** @return list<ReasonProps> what is odd without contradicting anything */
    private static function findings(Evidence $evidence): array
    {
        $open = array_filter($evidence->findings(), fn (Finding $finding): bool => $finding->severity !== Severity::Contradiction);

        return array_values(array_map(fn (Finding $finding): ReasonProps => new ReasonProps(
            VerdictKind::Unproven, ucfirst($finding->severity->value).'.', $finding->reason, $finding->source,
        ), $open));
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<CautionProps>
     */
    private static function cautions(string $stage, Verdict $verdict, Collection $runs): array
    {
        $hot = $runs->contains(fn (Run $run): bool => $run->state->isGoing());
        $warmest = $stage === 'measure' ? self::warmest($runs) : null;

        return array_values(array_filter([
            $verdict->kind === VerdictKind::Sham ? new CautionProps('Never put footage on it.', 'A card that is less than its label loses clips, and no camera notices.') : null,
            $verdict->kind === VerdictKind::Shaky ? new CautionProps('Do not record on it.', 'If it holds footage, copy that first, alone, and keep the card. Recovering data is work for qualified people.') : null,
            $stage === 'inspect' ? new CautionProps('Never force a stiff slot.', 'A forced card snaps. Let one that was hot cool before you handle it. Your local rules and the maker’s instructions come first.') : null,
            $stage === 'measure' && $hot ? new CautionProps('Hot after a long run.', 'Let it cool before you take it out: metal at 65 °C hurts within seconds. Your local rules and the maker’s instructions come first.') : null,
            $warmest === null || ! $warmest->isTooHotToHandle() ? null : new CautionProps("It was seen at {$warmest->both()}.", ($warmest->hurts() ? 'Metal this hot hurts within seconds.' : 'That is too warm to hold.').' Let it cool below 48 °C before you take it out bare-handed. Your local rules and the maker’s instructions come first.'),
            $stage === 'measure' && ! $hot ? new CautionProps('Slow and steady into a stiff slot.', 'A forced card snaps. One that reads only while pressed is not to be trusted.') : null,
            $stage === 'prove' ? new CautionProps('In a folder only free space is filled.', 'Your own files stay as they are. A raw run erases everything.') : null,
            $stage === 'prove' ? new CautionProps('A proof wears the card a little', 'by one full write, and it can come out hot: metal at 65 °C hurts within seconds. Let it cool. Your local rules and the maker’s instructions come first.') : null,
            $stage === 'offload' ? new CautionProps('Clear no card yet.', 'Not before two copies exist and both have been read back.') : null,
        ]));
    }

    /**
     * In the newest long write, as the medium told or somebody read it off.
     *
     * @param  Collection<int, Run>  $runs
     */
    private static function warmest(Collection $runs): ?Temperature
    {
        $run = $runs->last(fn (Run $run): bool => $run->kind === RunKind::Sustained && $run->result !== null);
        if ($run === null || $run->result === null) {
            return null;
        }
        $noted = $run->heat()->max('celsius');
        $degrees = array_filter([SustainedRecord::unpack($run->result)->warmest, is_numeric($noted) ? (float) $noted : null], is_float(...));

        return $degrees === [] ? null : Temperature::celsius(max($degrees));
    }

    private static function next(Card $card, Verdict $verdict): StepProps
    {
        return match ($verdict->next) {
            Step::Inspect => new StepProps(Step::Inspect->words(), 'one question at a time, answered by key', "/inspect/{$card->tag}"),
            Step::Measure => new StepProps(Step::Measure->words(), 'several runs, on a named chain', "/measure/{$card->tag}"),
            Step::Prove => new StepProps(Step::Prove->words(), 'written all over and read back', "/prove/{$card->tag}"),
            Step::Offload => new StepProps(Step::Offload->words(), 'over the readers, ports and drives at hand', "/offload/{$card->tag}"),
            Step::Ask => new StepProps(Step::Ask->words(), 'or correct its price: such a card is not sold for that', "/intake/{$card->tag}"),
            Step::SetAside => new StepProps(Step::SetAside->words(), 'it stays out of every plan', null),
        };
    }
}
