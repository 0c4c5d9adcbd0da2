<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Ledger\LedgerRules;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Props\Page\RulesPageProps;
use App\Props\Rules\DueRulesProps;
use App\Props\Rules\RuleProps;
use App\Shoot\FitRules;
use Illuminate\Support\Collection;
use Tally\Ledger\DueRules;
use Tally\Ledger\SuspectReader;
use Tally\Offload\Question\Rules;
use Tally\Reading\Course\SustainedFloor;
use Tally\Reading\Standing;
use Tally\Shoot\MayIt;
use Tally\Shoot\School;
use Tally\Verdict\CapacityJudge;

/** Every threshold in one place: as it is, as it would be, where that is from, and who changed it. */
final readonly class RulesPage
{
    private const CHOSEN = 'chosen, no source';

    private const HANDBOOK = 'the handbook';

    public static function of(?string $person): RulesPageProps
    {
        $due = LedgerRules::now();

        return new RulesPageProps(
            [...self::ofJudgement(), ...self::ofFit(), ...self::ofLedger($due)],
            new DueRulesProps(
                (string) $due->proveMonths,
                (string) $due->measureMonths,
                (string) $due->fills,
                $due->afterIncident ? '1' : '0',
                (string) $due->shootDays,
                (string) $due->shootMonths,
            ),
            Card::query()->whereNull('retired_on')->where('due_on', '<=', now()->format('Y-m-d'))->count(),
            $person ?? '',
        );
    }

    /** @return list<RuleProps> that stand in the program: verdicts of all houses are made by the same */
    private static function ofJudgement(): array
    {
        $percent = fn (float $share): string => round(100 * $share).' %';
        $plan = new Rules();
        $fixed = fn (string $name, string $value, string $source): RuleProps => new RuleProps('', $name, $value, $value, $source, '');

        return [
            $fixed('A medium shows at least, of its label', $percent(CapacityJudge::FULL), self::HANDBOOK),
            $fixed('Reaches a claim from', $percent(Standing::NEAR), self::HANDBOOK),
            $fixed('Is Slow under, of a claim', $percent(Standing::SHORT), self::HANDBOOK),
            $fixed('Window of a floor', SustainedFloor::WINDOW.' s of writing', self::CHOSEN),
            $fixed('A swap takes', "{$plan->swap} s, the first {$plan->first} s", self::HANDBOOK),
            $fixed('A file costs on top', (1000 * $plan->overhead).' ms', self::HANDBOOK),
            $fixed('A reader is suspected from', SuspectReader::CARDS.' cards', self::CHOSEN),
        ];
    }

    /** @return list<RuleProps> */
    private static function ofFit(): array
    {
        $kept = self::kept();
        $fit = FitRules::now();
        $rule = fn (string $key, string $name, string $value, string $standard): RuleProps => new RuleProps(
            $key,
            $name,
            $value,
            $standard,
            self::HANDBOOK,
            self::changed($kept, $key),
        );

        return [
            $rule('fit.school', 'What a card may record is decided', lcfirst($fit->school->label()), lcfirst(School::Measured->label())),
            $rule('fit.margin', 'Margin on what was measured', "{$fit->margin} times", MayIt::MARGIN.' times'),
            $rule('fit.usable', 'Usable share of a card', round(100 * $fit->usable).' %', '100 %'),
        ];
    }

    /** @return list<RuleProps> */
    private static function ofLedger(DueRules $due): array
    {
        $kept = self::kept();
        $standard = new DueRules();
        $yes = fn (bool $is): string => $is ? 'yes' : 'no';
        $rule = fn (string $key, string $name, string $value, string $standard): RuleProps => new RuleProps(
            $key,
            $name,
            $value,
            $standard,
            self::CHOSEN,
            self::changed($kept, $key),
        );

        return [
            $rule('ledger.prove_months', 'Proven again after', "{$due->proveMonths} months", "{$standard->proveMonths} months"),
            $rule('ledger.measure_months', 'Measured again after', "{$due->measureMonths} months", "{$standard->measureMonths} months"),
            $rule('ledger.fills', 'Proven again when written', "{$due->fills} times over", "{$standard->fills} times over"),
            $rule('ledger.after_incident', 'Proven again after an incident', $yes($due->afterIncident), $yes($standard->afterIncident)),
            $rule('ledger.shoot_days', 'Proven again before a shoot', "{$due->shootDays} days", "{$standard->shootDays} days"),
            $rule('ledger.shoot_months', 'where the proof is older than', "{$due->shootMonths} months", "{$standard->shootMonths} months"),
        ];
    }

    /** @return Collection<string, HouseRule> by name */
    private static function kept(): Collection
    {
        return HouseRule::query()->get()->toBase()->keyBy(fn (HouseRule $rule): string => $rule->name);
    }

    /** @param  Collection<string, HouseRule>  $kept */
    private static function changed(Collection $kept, string $key): string
    {
        $rule = $kept[$key] ?? null;
        if ($rule === null) {
            return '';
        }

        return "{$rule->by}, {$rule->changed_at->format('j M Y')}".($rule->why === null || $rule->why === '' ? '' : ": {$rule->why}");
    }
}
