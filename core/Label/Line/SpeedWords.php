<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/**
 * The speeds on a label: labelled before (`read 95MB/s`) or behind (`95MB/s R`), in pairs (`95/90 MB/s`), or alone.
 *
 * Which of the two ways a label is printed shows in the run as a whole: whichever way gives more words their figure.
 * A word such as “min” or “sustained” belongs to the figure that follows it. A lone speed without a word is what makers print largest:
 * the read claim. That is said in a note.
 */
final class SpeedWords
{
    public ?Rate $read = null;

    public ?Rate $write = null;

    public ?Rate $sustained = null;

    /** @var array<string, string> */
    public array $from = [];

    /** @var list<string> */
    public array $notes = [];

    /** A speed is printed that no card can have. */
    public bool $unread = false;

    private bool $isAlone = false;

    /** @var list<array{int, int}> */
    private array $used = [];

    /** @var array<string, non-empty-list<array{Rate, string, array{int, int}}>> field → what is printed for it, the part and the stretch */
    private array $printed = [];

    /** Nobody prints less. MB/s. */
    private const LEAST = 5.0;

    /** @param  list<Bus>  $buses  that the card may have */
    private function __construct(private readonly array $buses) {}

    /**
     * @param  Form|null  $form  of the card, where it is printed
     * @param  Bus|null  $bus  likewise
     */
    public static function read(Strip $strip, ?Form $form = null, ?Bus $bus = null): self
    {
        $words = new self(match (true) {
            // A card of that bus may have its maker's double rate.
            $bus === Bus::UhsI => [Bus::UhsIDouble],
            $bus !== null => [$bus],
            // Express is always printed.
            default => array_values(array_filter($form?->buses() ?? Bus::cases(), fn (Bus $one): bool => ! $one->isExpress())),
        });
        $lone = [];
        foreach (SpeedRuns::of($strip->rest()) as $run) {
            $lone = [...$lone, ...$words->run($run)];
        }
        $words->alone($lone);
        $words->settle();
        $words->unread = $words->unread || str_contains($strip->rest(), Strip::RANGE) || count($lone) > ($words->isAlone ? 1 : 0);
        $strip->takeOut($words->used);

        return $words;
    }

    /**
     * @param  non-empty-list<SpeedToken>  $run
     * @return list<SpeedToken> figures that nothing labels
     */
    private function run(array $run): array
    {
        // What is kept up goes by the word beside it; what is left is read and written, in a pair, by its words, or in order.
        $labels = self::keptUp($run);
        $rest = array_filter(array_diff_key($run, $labels), fn (SpeedToken $token): bool => $token->kind !== 'sustained');
        $pairs = $this->pairs($rest);
        $words = $pairs === [] ? self::labels($rest) : $pairs;
        $labels += $words === [] ? $this->unlabelled($rest) : $words;
        $lone = [];
        $kept = [];
        foreach ($run as $i => $token) {
            $label = $labels[$i] ?? null;
            $isTied = $token->paired || ($run[$i + 1] ?? null)?->paired === true;
            if ($token->isFigure() && $label === null && (! $token->isBare() || $isTied)) {
                $lone[] = $token;
            } elseif ($token->isFigure() && $label !== null) {
                $kept[$i] = $this->keep($label, $token, $this->unit($run, $i), $this->printed($run, $i, $labels));
            }
        }
        // Words beside no figure that was read stay visible.
        foreach ($run as $i => $token) {
            if (! $token->isFigure() && (($kept[$i - 1] ?? false) || ($kept[$i + 1] ?? false))) {
                $this->used[] = $token->stretch();
            }
        }

        return $lone;
    }

    /**
     * A word such as “min” or “sustained” belongs to the figure that follows it, if one follows before the next separator; else to the
     * one before.
     *
     * @param  non-empty-list<SpeedToken>  $run
     * @return array<int, string> place of a figure → what it is
     */
    private static function keptUp(array $run): array
    {
        $labels = [];
        foreach ($run as $i => $token) {
            if ($token->kind !== 'sustained') {
                continue;
            }
            // `min 400MB/s`, `sustained write 400MB/s`
            $next = $i + 1;
            while (isset($run[$next]) && $run[$next]->kind === 'write' && ! $run[$next]->parted) {
                $next++;
            }
            $follows = isset($run[$next]) && $run[$next]->isFigure() && ! $run[$next]->parted && ! $run[$next]->paired;
            $before = $i - 1;
            while (! $follows && isset($run[$before]) && ! $run[$before]->isFigure()) {
                $before--;
            }
            $at = $follows ? $next : $before;
            if (isset($run[$at])) {
                $labels[$at] = 'sustained';
            }
        }

        return $labels;
    }

    /**
     * `95/90 MB/s`, `R/W 300/260MB/s`: read first.
     *
     * @param  array<int, SpeedToken>  $run  what is left of one, by place
     * @return array<int, string> place of a figure → what it is
     */
    private function pairs(array $run): array
    {
        $figures = array_keys(array_filter($run, fn (SpeedToken $token): bool => $token->isFigure()));
        $words = array_filter($run, fn (SpeedToken $token): bool => ! $token->isFigure());
        $both = array_filter($words, fn (SpeedToken $token): bool => $token->kind !== 'both') === [];
        if (count($figures) !== 2 || ! $both || ! ($run[$figures[1]]->paired || $words !== [])) {
            return [];
        }
        if ($words === [] && $run[$figures[0]]->amount() < $run[$figures[1]]->amount()) {
            return [];
        }
        if ($words === [] && $run[$figures[0]]->isBare() && $run[$figures[1]]->isBare()) {
            $this->notes[] = "“{$run[$figures[0]]->number}/{$run[$figures[1]]->number}” has no unit: taken as MB/s, read and write.";
        }
        $isWriteFirst = fn (SpeedToken $token): bool => preg_match('~^(?:W|wr|schr|[ée]cr|escr|[ES] ?/)~iu', trim($token->text)) === 1;
        $isTurned = array_filter($words, $isWriteFirst) !== [];

        return $isTurned ? [$figures[0] => 'write', $figures[1] => 'read'] : [$figures[0] => 'read', $figures[1] => 'write'];
    }

    /**
     * `880MB/s 650MB/s`: read first, and it is the faster one.
     *
     * @param  array<int, SpeedToken>  $run  what is left of one, by place
     * @return array<int, string> place of a figure → what it is
     */
    private function unlabelled(array $run): array
    {
        [$first, $second] = [...array_values($run), null, null];
        if (
            count($run) !== 2 ||
            $first?->isFigure() !== true ||
            $second?->isFigure() !== true ||
            $first->isBare() ||
            $second->isBare() ||
            $first->unit !== $second->unit ||
            $first->amount() < $second->amount()
        ) {
            return [];
        }
        $this->notes[] =
            '“'.
            trim($first->text).
            '” and “'.
            trim($second->text).
            '” say neither read nor write: taken as read and write, in the order that makers print them.';

        return array_combine(array_keys($run), ['read', 'write']);
    }

    /**
     * @param  array<int, SpeedToken>  $run  what is left of one, by place
     * @return array<int, string> place of a figure → what it is
     */
    private static function labels(array $run): array
    {
        if ($run === []) {
            return [];
        }
        $before = self::labelled($run, 1);
        $behind = self::labelled($run, -1);
        [$one, $word, $other] = [...array_values($run), null, null, null];
        $labels = match (true) {
            count($before) > count($behind) => $before,
            count($behind) > count($before) => $behind,
            // 250MB/s W 130MB/s: read is the faster one.
            count($run) === 3 && $one?->isFigure() === true && $other?->isFigure() === true => ($one->amount() >= $other->amount()) ===
            ($word?->kind !== 'read')
                ? $before
                : $behind,
            default => $one?->isFigure() === true ? $behind : $before,
        };
        // What is left over may be printed the other way round: `3400 MB/s write, read 3700 MB/s`.
        foreach ([$before, $behind] as $way) {
            foreach ($way as $i => $label) {
                if (! isset($labels[$i]) && ! in_array($label, $labels, true)) {
                    $labels[$i] = $label;
                }
            }
        }

        return $labels;
    }

    /**
     * @param  array<int, SpeedToken>  $run
     * @param  int  $step  1 when words stand before their figures, -1 when behind
     * @return array<int, string>
     */
    private static function labelled(array $run, int $step): array
    {
        $labels = [];
        foreach ($run as $i => $token) {
            $figure = $run[$i + $step] ?? null;
            $isWord = ! $token->isFigure() && $token->kind !== 'both';
            if ($isWord && $figure?->isFigure() === true) {
                $labels[$i + $step] = $token->kind;
            }
        }

        return $labels;
    }

    /** @param  list<SpeedToken>  $lone */
    private function alone(array $lone): void
    {
        $first = $lone[0] ?? null;
        if (isset($this->printed['read']) || $first === null) {
            return;
        }
        // Of several the first is what it reads, where it is the fastest too.
        $faster = array_filter($lone, fn (SpeedToken $token): bool => $token->amount() > $first->amount());
        if ($faster !== [] || $first->isBare()) {
            $printed = array_map(fn (SpeedToken $token): string => '“'.trim($token->text).'”', $lone);
            $this->notes[] = implode(' and ', $printed).' say neither read nor write: which is which is not taken for granted.';
        } elseif ($this->keep('read', $first, $first->unit, $first->text)) {
            // A number that a name may own is nobody’s claim.
            $this->isAlone = true;
            $this->notes[] =
                "“{$this->printed['read'][0][1]}” says neither read nor write: taken as the read claim, which is what makers print.";
        }
    }

    /** What is printed once, or twice the same, is taken; of two readings neither is. */
    private function settle(): void
    {
        foreach ($this->printed as $field => $all) {
            $rates = array_unique(array_map(fn (array $one): string => $one[0]->exact(), $all));
            if (count($rates) > 1) {
                $said = implode(' and ', array_map(fn (array $one): string => "“{$one[1]}”", $all));
                $what = ['read' => 'reads', 'write' => 'writes'][$field] ?? 'keeps up';
                $this->notes[] = "{$said} are both printed for what it {$what}: neither is taken.";
                $this->unread = true;

                continue;
            }
            match ($field) {
                'read' => ($this->read = $all[0][0]),
                'write' => ($this->write = $all[0][0]),
                default => ($this->sustained = $all[0][0]),
            };
            $this->from[$field] = $all[0][1];
            array_push($this->used, ...array_column($all, 2));
        }
    }

    /**
     * One unit for several, as makers save ink; none at all is MB/s, the unit of cards.
     *
     * @param  non-empty-list<SpeedToken>  $run
     */
    private function unit(array $run, int $i): string
    {
        $own = $run[$i]->unit;
        foreach ([...array_slice($run, $i), ...array_reverse(array_slice($run, 0, $i))] as $token) {
            $own = $own === '' ? $token->unit : $own;
        }

        return $own === '' ? 'MB/s' : $own;
    }

    /**
     * The part of the line that a figure was read from, its word included.
     *
     * @param  non-empty-list<SpeedToken>  $run
     * @param  array<int, string>  $labels
     */
    private function printed(array $run, int $i, array $labels): string
    {
        $word = fn (int $at): string => isset($run[$at]) && $run[$at]->kind === ($labels[$i] ?? '') ? trim($run[$at]->text) : '';

        return trim($word($i - 1).' '.trim($run[$i]->text).' '.($word($i - 1) === '' ? $word($i + 1) : ''));
    }

    /** @return bool whether it could be read */
    private function keep(string $field, SpeedToken $token, string $unit, string $from): bool
    {
        $printed = PrintedNumber::of($token->number, $token->before, fn (string $number): bool => $this->isPossible($number, $unit));
        if ($printed->note !== null) {
            $this->notes[] = $printed->note;
        }
        $meant = $printed->number === null ? null : $this->meant($unit, $printed->number, $token->text);
        if ($meant === null) {
            $this->unread = true;

            return false;
        }
        try {
            $rate = Rate::parse("{$printed->number} {$meant}");
        } catch (NotAQuantity $fault) {
            // It stays visible among what was not understood.
            $this->notes[] = $fault->getMessage();
            $this->unread = true;

            return false;
        }
        $skipped = $printed->from === 0 ? 0 : (int) strpos($token->text, $token->number) + $printed->from;
        $this->printed[$field][] = [
            $rate,
            $skipped === 0 ? $from : trim(substr($token->text, $skipped)),
            [$token->at + $skipped, strlen($token->text) - $skipped],
        ];

        return true;
    }

    /**
     * Labels are in megabytes, whatever their letters are; bits are printed as `Mb/s` or `Mbps` by those who mean them. All in small
     * letters, `mbps`, either may be meant.
     *
     * @return string|null null where nobody can tell
     */
    private function meant(string $unit, string $number, string $printed): ?string
    {
        $plain = PrintedNumber::unit($unit);
        if (preg_match('~^[kmgt]bps$~', $plain) === 1) {
            $asBytes = strtoupper($plain[0]).'B/s';
            if ($this->isPossible($number, $asBytes)) {
                $this->notes[] = '“'.trim($printed).'” may be megabits or megabytes: neither is taken.';

                return null;
            }

            return $plain;
        }
        if (preg_match('~^[kmgt]i?b ?/ ?s~', $plain) !== 1) {
            return $plain;
        }
        $this->notes[] = '“'.trim($printed).'” in small letters is taken as megabytes, which is what labels mean.';

        return strtoupper($plain[0]).substr((string) preg_replace('~b ?/ ?s~', 'B/s', $plain), 1);
    }

    /** Whether a card of this form could be so fast: its fastest bus carries it. */
    private function isPossible(string $number, string $unit): bool
    {
        try {
            $rate = Rate::parse($number.' '.PrintedNumber::unit($unit));
        } catch (NotAQuantity) {
            return false;
        }
        $fastest = 0.0;
        foreach ($this->buses as $bus) {
            $fastest = max($fastest, $bus->ceiling()->nominal->bytesPerSecond);
        }

        // Makers round the ceiling itself, and some claim a little more; under 5 MB/s none claims anything (from memory).
        return $rate->bytesPerSecond <= 1.1 * $fastest && $rate->megabytes() >= self::LEAST;
    }
}
