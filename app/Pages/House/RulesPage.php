<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Evidence\JudgeRules;
use App\Evidence\LedgerRules;
use App\Evidence\RuleDrafts;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\When;
use App\Offload\PlanRules;
use App\Pages\Page;
use App\Shoot\FitRules;
use Closure;
use Illuminate\Support\Collection;
use Tally\Ledger\DueRules;
use Tally\Ledger\SuspectReader;
use Tally\Offload\Question\Rules;
use Tally\Reading\Course\SustainedFloor;
use Tally\Reading\Thresholds;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\MayIt;
use Tally\Verdict\VerdictKind;

/**
 * Every threshold in one place: as it is, as it would be, where that is from, and who changed it.
 *
 * @phpstan-type DueRulesProps array{ // When cards are tested again, as it is in its form.
 *     proveMonths: string,
 *     measureMonths: string,
 *     fills: string,
 *     afterIncident: string, // 1 or 0
 *     shootDays: string,
 *     shootMonths: string,
 *     retireYears: string,
 *     retireFills: string,
 * }
 * @phpstan-type FitRulesProps array{ // What a card may record goes by these, as it is in its form.
 *     criterion: string,
 *     spare: string, // margin, so many times
 *     usable: string,
 * }
 * @phpstan-type HandTimesProps array{ // What a plan reckons with, as a form has it: seconds.
 *     swap: string,
 *     first: string,
 *     overhead: string,
 * }
 * @phpstan-type RuleChangeProps array{ // A card that would be judged otherwise.
 *     tag: string,
 *     from: VerdictKind,
 *     to: VerdictKind,
 * }
 * @phpstan-type RuleDraftProps array{ // Rules of judgement that are tried, and what they would change.
 *     id: int,
 *     words: string,
 *     why: string,
 *     cards: int,
 *     looked: int,
 *     isDone: bool,
 *     changes: list<RuleChangeProps>,
 * }
 * @phpstan-type RuleProps array{ // A threshold that the house goes by.
 *     key: string, // by which it is changed; empty where it stands in the program
 *     name: string,
 *     value: string, // as it is now, with its unit
 *     standard: string, // what it is where nobody changed it
 *     source: string, // of the standard
 *     changed: string, // who changed it, when and why; empty where nobody did
 * }
 */
final readonly class RulesPage extends Page
{
    private const CHOSEN = 'chosen, no source';

    private const HANDBOOK = 'the handbook';

    /** field of the thresholds → what it is called */
    private const JUDGE = [
        'full' => 'A medium shows at least, of its label',
        'near' => 'Reaches a claim from',
        'short' => 'Is Slow under, of a claim',
        'above' => 'A label asks little above, of a claim',
    ];

    /**
     * @param  list<RuleProps>  $rules
     * @param  DueRulesProps  $due  those that are changed here
     * @param  RuleDraftProps|null  $draft  rules of judgement that are being tried
     * @param  int  $cards  that are due today
     * @param  FitRulesProps  $fit
     * @param  HandTimesProps  $plan
     */
    public function __construct(
        public array $rules,
        public JudgeRulesProps $judge,
        public array $due,
        public array $fit,
        public array $plan,
        public ?array $draft,
        public int $cards,
        public string $person,
    ) {}

    public static function of(?string $person): self
    {
        $due = LedgerRules::now();
        $by = JudgeRules::now();
        $plan = PlanRules::now();
        $fit = FitRules::now();
        $kept = self::kept();

        return new self(
            [...self::ofJudgement($kept, $by), ...self::ofFit($kept), ...self::ofLedger($kept, $due), ...self::ofPlan($kept, $plan)],
            new JudgeRulesProps(...array_map(self::share(...), [$by->full, $by->near, $by->short, $by->above])),
            [
                'proveMonths' => (string) $due->proveMonths,
                'measureMonths' => (string) $due->measureMonths,
                'fills' => (string) $due->fills,
                'afterIncident' => $due->afterIncident ? '1' : '0',
                'shootDays' => (string) $due->shootDays,
                'shootMonths' => (string) $due->shootMonths,
                'retireYears' => (string) $due->retireYears,
                'retireFills' => (string) $due->retireFills,
            ],
            [
                'criterion' => $fit->criterion->value,
                'spare' => (string) $fit->margin,
                'usable' => (string) $fit->usable,
            ],
            plan: [
                'swap' => (string) $plan->swap,
                'first' => (string) $plan->first,
                'overhead' => (string) $plan->overhead,
            ],
            draft: self::draft(),
            cards: Card::query()->whereNull('retired_on')->where('due_on', '<=', now()->format(When::ISO_DAY))->count(),
            person: $person ?? '',
        );
    }

    private static function share(float $share): string
    {
        return (string) round(100 * $share, 2);
    }

    /** @return RuleDraftProps|null */
    private static function draft(): ?array
    {
        $draft = RuleDrafts::open();
        if ($draft === null) {
            return null;
        }
        [$now, $by] = [JudgeRules::now(), $draft->by()];
        $words = [];
        foreach (self::JUDGE as $field => $name) {
            if ($now->{$field} !== $by->{$field}) {
                $words[] = lcfirst($name).': '.self::share($by->{$field}).' % instead of '.self::share($now->{$field}).' %';
            }
        }

        return [
            'id' => $draft->id,
            'words' => $words === [] ? 'Nothing is another than it is' : ucfirst(implode('; ', $words)),
            'why' => "{$draft->by}: {$draft->why}",
            'cards' => $draft->cards,
            'looked' => min($draft->looked, $draft->cards),
            'isDone' => $draft->isDone(),
            'changes' => array_map(
                fn (array $one): array => [
                    'tag' => $one['tag'],
                    'from' => VerdictKind::from($one['from']),
                    'to' => VerdictKind::from($one['to']),
                ],
                $draft->changes,
            ),
        ];
    }

    /**
     * @param  Collection<string, HouseRule>  $kept
     * @return list<RuleProps>
     */
    private static function ofJudgement(Collection $kept, Thresholds $by): array
    {
        $rule = self::maker($kept, self::HANDBOOK);
        $rules = [];
        foreach (JudgeRules::ALL as $key => [$field, $standard]) {
            $rules[] = $rule($key, self::JUDGE[$field], self::share($by->{$field}).' %', self::share($standard).' %');
        }
        $fixed = fn (string $name, string $value, string $source): array => [
            'key' => '',
            'name' => $name,
            'value' => $value,
            'standard' => $value,
            'source' => $source,
            'changed' => '',
        ];

        return [
            ...$rules,
            // A run keeps its lowest window, not its course: over another window it could not be read anew.
            $fixed('Window of a floor', SustainedFloor::WINDOW.' s of writing', self::CHOSEN),
            $fixed('A reader is suspected from', SuspectReader::CARDS.' cards', self::CHOSEN),
        ];
    }

    /**
     * @param  Collection<string, HouseRule>  $kept
     * @return list<RuleProps>
     */
    private static function ofPlan(Collection $kept, Rules $plan): array
    {
        $standard = new Rules();
        $rule = self::maker($kept, self::HANDBOOK);

        return [
            $rule('plan.swap', 'A swap takes', "{$plan->swap} s", "{$standard->swap} s"),
            $rule('plan.first', 'The first card of a slot takes', "{$plan->first} s", "{$standard->first} s"),
            $rule('plan.overhead', 'A file costs on top', (1000 * $plan->overhead).' ms', (1000 * $standard->overhead).' ms'),
        ];
    }

    /**
     * @param  Collection<string, HouseRule>  $kept
     * @return list<RuleProps>
     */
    private static function ofFit(Collection $kept): array
    {
        $fit = FitRules::now();
        $rule = self::maker($kept, self::HANDBOOK);

        return [
            $rule(
                'fit.school',
                'What a card may record is decided',
                lcfirst($fit->criterion->label()),
                lcfirst(FitCriterion::Measured->label()),
            ),
            $rule('fit.margin', 'Margin on what was measured', "{$fit->margin} times", MayIt::MARGIN.' times'),
            $rule('fit.usable', 'Usable share of a card', round(100 * $fit->usable).' %', '100 %'),
        ];
    }

    /**
     * @param  Collection<string, HouseRule>  $kept
     * @return list<RuleProps>
     */
    private static function ofLedger(Collection $kept, DueRules $due): array
    {
        $standard = new DueRules();
        $yes = fn (bool $is): string => $is ? 'yes' : 'no';
        $never = fn (int $count, string $of): string => $count === 0 ? 'never' : "{$count} {$of}";
        $rule = self::maker($kept, self::CHOSEN);

        return [
            $rule('ledger.prove_months', 'Proven again after', "{$due->proveMonths} months", "{$standard->proveMonths} months"),
            $rule('ledger.measure_months', 'Measured again after', "{$due->measureMonths} months", "{$standard->measureMonths} months"),
            $rule('ledger.fills', 'Proven again when written', "{$due->fills} times over", "{$standard->fills} times over"),
            $rule('ledger.after_incident', 'Proven again after an incident', $yes($due->afterIncident), $yes($standard->afterIncident)),
            $rule('ledger.shoot_days', 'Proven again before a shoot', "{$due->shootDays} days", "{$standard->shootDays} days"),
            $rule('ledger.shoot_months', 'where the proof is older than', "{$due->shootMonths} months", "{$standard->shootMonths} months"),
            $rule('ledger.retire_years', 'Has served after', $never($due->retireYears, 'years'), 'never'),
            $rule('ledger.retire_fills', 'Has served when written', $never($due->retireFills, 'times over'), 'never'),
        ];
    }

    /**
     * @param  Collection<string, HouseRule>  $kept
     * @param  string  $source  of the standard
     * @return Closure(string, string, string, string): RuleProps of key, name, value and standard
     */
    private static function maker(Collection $kept, string $source): Closure
    {
        return fn (string $key, string $name, string $value, string $standard): array => [
            'key' => $key,
            'name' => $name,
            'value' => $value,
            'standard' => $standard,
            'source' => $source,
            'changed' => self::changed($kept, $key),
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

        return "{$rule->by}, {$rule->changed_at->format(When::DAY)}".($rule->why === null || $rule->why === '' ? '' : ": {$rule->why}");
    }
}
