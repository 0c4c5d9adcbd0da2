<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Kit\Cameras;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\BodyTrial;
use App\Models\Shoot\StoppedRecording;
use App\Models\When;
use App\Pages\Page;
use App\Shoot\Abilities;
use App\Shoot\Bodies;
use App\Shoot\FitRules;
use App\Shoot\ModeWords;
use App\Shoot\ReasonProps;
use Illuminate\Support\Collection;
use Tally\Quantity\Span;
use Tally\Shoot\Ability;
use Tally\Shoot\Answer;
use Tally\Shoot\BodyAnswer;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\LeastMark;
use Tally\Shoot\MayIt;
use Tally\Shoot\Mode;
use Tally\Shoot\StopCause;
use Tally\Shoot\Word;
use Tally\Verdict\VerdictKind;

/**
 * One card, or a label before anything is bought, in every mode of every camera.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type BodyProps from Bodies
 *
 * @phpstan-type FitModeProps array{ // A mode, and whether a card may record it.
 *     id: int,
 *     camera: string,
 *     name: string,
 *     writes: string, // such as `240 Mb/s, long-GOP`
 *     rate: float, // MB/s that it really fills a card with
 *     need: float, // MB/s that the lowest window of a card must be, with the house’s margin
 *     lasts: string, // minutes or shots on this card, such as `63 min`
 *     isCalibrated: bool, // whether the rate comes from readings; else it is on paper
 *     may: bool,
 *     words: string, // the word that says no, or what is said beside a yes
 *     least: string|null, // the least mark that opens it
 *     criteria: list<CriterionWordProps>, //
 * }
 * @phpstan-type CriterionProps array{ // A criterion, and how many modes or cards it lets pass.
 *     key: string,
 *     label: string,
 *     detail: string,
 *     may: int,
 *     of: int,
 * }
 * @phpstan-type CriterionWordProps array{ // What a criterion says of a card and a mode.
 *     criterion: string,
 *     may: bool,
 *     words: string,
 *     evidence: string,
 * }
 * @phpstan-type StopProps array{ // A recording that stopped.
 *     id: int,
 *     camera: string,
 *     mode: string|null,
 *     cause: string,
 *     isTheCards: bool, // whether it is held against the card
 *     after: string|null,
 *     by: string,
 *     on: string,
 * }
 * @phpstan-type WallProps array{ // What a card keeps up or promises, on the axis of the minutes sheet.
 *     name: string,
 *     rate: float, // MB/s
 * }
 */
final readonly class FitPage extends Page
{
    private const STOPS = 20;

    /**
     * @param  CardProps|null  $card  null of a label alone
     * @param  string  $line  what it is, in a few words
     * @param  string  $holds  what was proven, or what its label says
     * @param  string  $asked  the words of the label that was asked for
     * @param  string  $complaint  why those words are no label; empty where they are
     * @param  list<FitModeProps>  $modes
     * @param  list<ChoiceProps>  $cameras
     * @param  list<CriterionProps>  $criteria
     * @param  string  $decides  the key of the criterion that the house goes by
     * @param  string  $spare  the margin of the house, such as `1.25`
     * @param  string  $usable  the usable share, such as `1`
     * @param  list<WallProps>  $walls
     * @param  list<ReasonProps>  $reasons
     * @param  list<BodyProps>  $bodies
     * @param  list<StopProps>  $stops
     * @param  list<ChoiceProps>  $causes
     */
    public function __construct(
        public ?array $card,
        public string $line,
        public string $holds,
        public string $asked,
        public string $complaint,
        public array $modes,
        public array $cameras,
        public array $criteria,
        public string $decides,
        public string $spare,
        public string $usable,
        public array $walls,
        public array $reasons,
        public array $bodies,
        public array $stops,
        public array $causes,
        public string $person,
    ) {}

    public static function ofCard(Card $card, ?string $person): self
    {
        $ability = Abilities::of(new Collection([$card]))[$card->id];
        $stops = StoppedRecording::query()
            ->with(['camera', 'mode'])
            ->where('card_id', $card->id)
            ->latest('id')
            ->get();
        $bodies = Bodies::around($card);

        return self::page(
            $ability,
            CardHeading::card($card),
            str_replace(' · ', ', ', "{$card->name}, {$card->line}"),
            $person,
            reasons: [...self::stopped($stops->toBase()), ...self::refused($card), ...Bodies::reasons($bodies)],
            stops: array_map(fn (StoppedRecording $one): array => self::stop($one), array_values($stops->take(self::STOPS)->all())),
            bodies: $bodies,
        );
    }

    /**
     * @param  string  $asked  words of a label
     * @param  Ability|null  $ability  null where they are no label
     */
    public static function ofLabel(string $asked, ?Ability $ability, string $complaint, ?string $person): self
    {
        return self::page(
            $ability,
            null,
            $ability === null ? '' : $ability->label->line(),
            $person,
            reasons: [],
            stops: [],
            bodies: [],
            asked: $asked,
            complaint: $complaint,
        );
    }

    /**
     * @param  list<ReasonProps>  $reasons
     * @param  list<StopProps>  $stops
     * @param  list<BodyProps>  $bodies
     * @param  CardProps|null  $card
     */
    private static function page(
        ?Ability $ability,
        ?array $card,
        string $line,
        ?string $person,
        array $reasons,
        array $stops,
        array $bodies,
        string $asked = '',
        string $complaint = '',
    ): self {
        $rules = FitRules::now();
        // Nothing of a label alone was measured: its marks are all there is to go by.
        $deciding = $card === null && $rules->criterion === FitCriterion::Measured ? FitCriterion::Mark : $rules->criterion;
        $cameras = Camera::query()->with(['slots', 'modes.calibrations'])->orderBy('tag')->get();
        $modes = $leasts = [];
        $may = array_fill_keys(array_column(FitCriterion::cases(), 'value'), 0);
        $falls = null;
        foreach ($cameras as $camera) {
            if ($ability === null) {
                break;
            }
            $all = array_values($camera->modes->map(fn (CameraMode $mode): Mode => $mode->asMode())->all());
            foreach ($camera->modes->values() as $at => $mode) {
                $asks = new MayIt($all[$at], $camera->buses(), $rules->margin);
                $answers = $asks->all($ability);
                foreach ($answers as $criterion => $answer) {
                    $may[$criterion] += $answer->isYes() ? 1 : 0;
                }
                $decides = $answers[$deciding->value];
                $falls ??= $answers[FitCriterion::Measured->value]->word === Word::FallsTo
                    ? self::falls($camera->tag, $all[$at], $answers[FitCriterion::Measured->value])
                    : null;
                $modes[] = [
                    'id' => $mode->id,
                    'camera' => "{$camera->tag} {$camera->name}",
                    'name' => $mode->name,
                    'writes' => ModeWords::writes($all[$at]),
                    'rate' => $all[$at]->fill->rate->megabytes(),
                    'need' => $asks->need()->megabytes(),
                    'lasts' => self::lasts($all[$at], $ability, $rules),
                    'isCalibrated' => $all[$at]->fill->isCalibrated(),
                    'may' => $decides->isYes(),
                    'words' => $decides->words(),
                    'least' => LeastMark::of($all[$at], $camera->buses())?->value,
                    'criteria' => self::criteria($answers),
                ];
            }
            $least = LeastMark::ofAll($all, $camera->buses());
            if ($least !== null && $ability->label->settleIn($camera->buses()) !== null) {
                $leasts[] = new ReasonProps(
                    VerdictKind::Sound,
                    "{$least->value} is the most that {$camera->tag} uses.",
                    'It opens every mode that a mark can open there; more buys nothing.',
                    'speed-class tables, and what its modes write',
                );
            }
        }

        return new self(
            card: $card,
            line: $line,
            holds: match (true) {
                $ability === null => '',
                $ability->proven === null => "{$ability->capacity()->decimal()} by its label, not proven",
                $ability->verdict?->isStruckOut() === true => "{$ability->proven->decimal()} came back as written",
                default => "{$ability->proven->decimal()} proven",
            },
            asked: $asked,
            complaint: $complaint,
            modes: $modes,
            cameras: Cameras::choices(),
            criteria: array_map(
                fn (FitCriterion $criterion): array => self::criterion($criterion, $rules, $may[$criterion->value], count($modes)),
                FitCriterion::cases(),
            ),
            decides: $rules->criterion->value,
            spare: (string) $rules->margin,
            usable: (string) $rules->usable,
            walls: $ability === null ? [] : self::walls($ability),
            reasons: array_values(array_filter([$falls, ...$reasons, ...$leasts], fn (?ReasonProps $one): bool => $one !== null)),
            bodies: $bodies,
            stops: $stops,
            causes: array_map(
                fn (StopCause $cause): ChoiceProps => new ChoiceProps($cause->value, $cause->label(), []),
                StopCause::cases(),
            ),
            person: $person ?? '',
        );
    }

    /** Minutes, or shots; where nothing was proven, about so many. What a struck-out card holds helps nobody. */
    public static function lasts(Mode $mode, Ability $ability, FitRules $rules): string
    {
        if ($ability->verdict?->isStruckOut() === true) {
            return '–';
        }
        $shots = $mode->shots($ability->capacity(), $rules->usable);
        $about = $ability->proven === null ? '~' : '';

        return $shots === null
            ? $about.number_format($mode->fill->minutes($ability->capacity(), $rules->usable), 0, '.', ' ').' min'
            : $about.number_format($shots, 0, '.', ' ').' shots';
    }

    /**
     * @param  array<string, Answer>  $answers
     * @return list<CriterionWordProps>
     */
    public static function criteria(array $answers): array
    {
        return array_values(
            array_map(
                fn (Answer $answer): array => [
                    'criterion' => $answer->criterion->value,
                    'may' => $answer->isYes(),
                    'words' => $answer->words(),
                    'evidence' => $answer->evidence,
                ],
                $answers,
            ),
        );
    }

    /** @return CriterionProps */
    public static function criterion(FitCriterion $criterion, FitRules $rules, int $may, int $of): array
    {
        return [
            'key' => $criterion->value,
            'label' => $criterion->label(),
            'detail' => match ($criterion) {
                FitCriterion::Mark => 'the class on the label, as the camera asks',
                FitCriterion::Measured => "lowest window ≥ rate × {$rules->margin}",
                FitCriterion::Guaranteed => 'paid work: a VPG or E mark',
            },
            'may' => $may,
            'of' => $of,
        ];
    }

    /** @return list<WallProps> what it keeps up, and what its best mark promises */
    private static function walls(Ability $ability): array
    {
        $lowest = $ability->lowest();
        $mark = $ability->label->topMark();

        return array_values(
            array_filter(
                [
                    $lowest === null ? null : ['name' => 'measured', 'rate' => $lowest->rate->megabytes()],
                    $mark === null ? null : ['name' => "{$mark->value} promises", 'rate' => $mark->floor()->megabytes()],
                ],
                fn (?array $wall): bool => $wall !== null,
            ),
        );
    }

    private static function falls(string $camera, Mode $mode, Answer $answer): ReasonProps
    {
        $rate = $mode->fill->rate->print();
        $safe = $answer->safe === null ? 'from the start' : "after {$answer->safe->print()} of a take";

        return new ReasonProps(
            VerdictKind::Slow,
            "{$camera} {$mode->name} writes {$rate}.",
            "With the margin on it, this card falls short: to {$answer->figure?->printDown()}, {$safe}.",
            "{$answer->evidence}; a proxy, not the class’s own test",
        );
    }

    /**
     * @param  Collection<int, StoppedRecording>  $stops
     * @return list<ReasonProps>
     */
    private static function stopped(Collection $stops): array
    {
        $own = $stops->filter(fn (StoppedRecording $one): bool => $one->cause->isTheCards())->count();

        return match (true) {
            $own >= 2 => [
                new ReasonProps(
                    VerdictKind::Shaky,
                    "It stopped a recording {$own} times.",
                    'Look into it: inspect it, measure it over a long write, and record nothing that matters until then.',
                    'what was logged on this page',
                ),
            ],
            $own === 1 => [
                new ReasonProps(
                    VerdictKind::Unproven,
                    'It stopped a recording once.',
                    'Twice, and it is looked into.',
                    'what was logged on this page',
                ),
            ],
            default => [],
        };
    }

    /** @return list<ReasonProps> bodies that did not take it as it is, the last time it was tried in each */
    private static function refused(Card $card): array
    {
        $last = BodyTrial::query()->with('camera')->where('card_id', $card->id)->orderBy('id')->get()->keyBy('camera_id');
        $bad = $last->filter(fn (BodyTrial $one): bool => $one->answer !== BodyAnswer::Took);

        return array_values(
            $bad
                ->map(fn (BodyTrial $one): ReasonProps => new ReasonProps(
                    $one->answer === BodyAnswer::Refused ? VerdictKind::Slow : null,
                    "In {$one->camera->tag} it {$one->answer->label()}.",
                    'Another firmware may say otherwise.',
                    "{$one->words()}, by {$one->by}",
                ))
                ->all(),
        );
    }

    /** @return StopProps */
    private static function stop(StoppedRecording $one): array
    {
        return [
            'id' => $one->id,
            'camera' => $one->camera->tag,
            'mode' => $one->mode?->name,
            'cause' => $one->cause->label(),
            'isTheCards' => $one->cause->isTheCards(),
            'after' => $one->after === null ? null : Span::seconds($one->after)->print(),
            'by' => $one->by,
            'on' => $one->logged_at->format(When::DAY),
        ];
    }
}
