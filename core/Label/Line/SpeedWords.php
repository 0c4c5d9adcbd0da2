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
 * A lone speed without a word is what makers print largest: the read claim. That is said in a note.
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

    /** @var list<array{int, int}> */
    private array $used = [];

    private function __construct(private readonly ?Form $form) {}

    /** @param  Form|null  $form  of the card, where it is printed */
    public static function read(Strip $strip, ?Form $form = null): self
    {
        $words = new self($form);
        $lone = [];
        foreach (SpeedRuns::of($strip->rest()) as $run) {
            $lone = [...$lone, ...$words->run($run)];
        }
        $words->alone($lone);
        $strip->takeOut($words->used);

        return $words;
    }

    /**
     * @param  non-empty-list<SpeedToken>  $run
     * @return list<SpeedToken> figures that nothing labels
     */
    private function run(array $run): array
    {
        $labels = $this->pairs($run);
        if ($labels === []) {
            $labels = $this->labels($run);
        }
        if ($labels === []) {
            $labels = $this->unlabelled($run);
        }
        $lone = [];
        $kept = [];
        foreach ($run as $i => $token) {
            $label = $labels[$i] ?? null;
            if ($token->isFigure() && $label === null && ! $token->isBare()) {
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
     * `95/90 MB/s`, `R/W 300/260MB/s`: read first.
     *
     * @param  non-empty-list<SpeedToken>  $run
     * @return array<int, string> place of a figure → what it is
     */
    private function pairs(array $run): array
    {
        $figures = array_keys(array_filter($run, fn (SpeedToken $token): bool => $token->isFigure()));
        $words = array_values(array_filter($run, fn (SpeedToken $token): bool => ! $token->isFigure()));
        $both = $words === [] || array_filter($words, fn (SpeedToken $token): bool => $token->kind !== 'both') === [];
        if (count($figures) !== 2 || ! $both || ! $run[$figures[1]]->paired) {
            return [];
        }
        if ($words === [] && $run[$figures[0]]->isBare() && $run[$figures[1]]->isBare()) {
            $this->notes[] = "“{$run[$figures[0]]->number}/{$run[$figures[1]]->number}” has no unit: taken as MB/s, read and write.";
        }

        return [$figures[0] => 'read', $figures[1] => 'write'];
    }

    /**
     * `880MB/s 650MB/s`: read first, and it is the faster one.
     *
     * @param  non-empty-list<SpeedToken>  $run
     * @return array<int, string> place of a figure → what it is
     */
    private function unlabelled(array $run): array
    {
        [$first, $second] = [$run[0], $run[1] ?? null];
        if (
            count($run) !== 2 ||
            $second === null ||
            ! $first->isFigure() ||
            ! $second->isFigure() ||
            $first->isBare() ||
            $second->isBare() ||
            $first->unit !== $second->unit ||
            (float) $first->number < (float) $second->number
        ) {
            return [];
        }
        $this->notes[] =
            '“'.
            trim($first->text).
            '” and “'.
            trim($second->text).
            '” say neither read nor write: taken as read and write, in the order that makers print them.';

        return [0 => 'read', 1 => 'write'];
    }

    /**
     * @param  non-empty-list<SpeedToken>  $run
     * @return array<int, string> place of a figure → what it is
     */
    private function labels(array $run): array
    {
        $before = self::labelled($run, 1);
        $behind = self::labelled($run, -1);
        $first = $run[0]->isFigure() ? $behind : $before;
        $labels = match (true) {
            count($before) > count($behind) => $before,
            count($behind) > count($before) => $behind,
            // 250MB/s W 130MB/s: read is the faster one.
            count($run) === 3 && $run[0]->isFigure() && $run[2]->isFigure() => (float) $run[0]->number >= (float) $run[2]->number ===
            ($run[1]->kind !== 'read')
                ? $before
                : $behind,
            default => $first,
        };
        // What is left over may be printed the other way round: `3400 MB/s write, min. sustained write 850 MB/s`.
        foreach ([$before, $behind] as $other) {
            foreach ($other as $i => $label) {
                if (! isset($labels[$i]) && ! in_array($label, $labels, true)) {
                    $labels[$i] = $label;
                }
            }
        }
        // `write 1300 MB/s sustained`, `write sustained 1300 MB/s`: one figure, said twice.
        foreach ($labels as $i => $label) {
            $next = $run[$i + 1] ?? null;
            $isFree = $next !== null && $next->kind === 'sustained' && ($run[$i + 2] ?? null)?->isFigure() !== true;
            if ($label === 'write' && $isFree && ! in_array('sustained', $labels, true)) {
                $labels[$i] = 'sustained';
            }
        }

        return $labels;
    }

    /**
     * @param  non-empty-list<SpeedToken>  $run
     * @param  int  $step  1 when words stand before their figures, -1 when behind
     * @return array<int, string>
     */
    private static function labelled(array $run, int $step): array
    {
        $labels = [];
        foreach ($run as $i => $token) {
            $figure = $run[$i + $step] ?? null;
            $isWord = ! $token->isFigure() && $token->kind !== 'both';
            if ($isWord && $figure?->isFigure() === true && ! in_array($token->kind, $labels, true)) {
                $labels[$i + $step] = $token->kind;
            }
        }

        return $labels;
    }

    /** @param  list<SpeedToken>  $lone */
    private function alone(array $lone): void
    {
        $first = $lone[0] ?? null;
        if ($this->read !== null || $first === null) {
            return;
        }
        if ($this->keep('read', $first, $first->unit, $first->text)) {
            $this->notes[] =
                '“'.trim($first->text).'” says neither read nor write: taken as the read claim, which is what makers print.';
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
        [$number, $note] = PrintedNumber::plain($token->number, fn (float $number): bool => $this->isPossible($number, $unit));
        if ($note !== null) {
            $this->notes[] = $note;
        }
        if ($number === null) {
            $this->unread = true;

            return false;
        }
        try {
            $rate = Rate::parse($number.' '.$this->meant($unit, $token->text));
        } catch (NotAQuantity $fault) {
            // It stays visible among what was not understood.
            $this->notes[] = $fault->getMessage();
            $this->unread = true;

            return false;
        }
        match ($field) {
            'read' => ($this->read ??= $rate),
            'write' => ($this->write ??= $rate),
            default => ($this->sustained ??= $rate),
        };
        $this->from[$field] ??= $from;
        $this->used[] = $token->stretch();

        return true;
    }

    /** Labels are in megabytes, whatever their letters are; bits are printed as `Mb/s` or `Mbps` by those who mean them. */
    private function meant(string $unit, string $printed): string
    {
        $plain = PrintedNumber::unit($unit);
        if (preg_match('~^[kmgt]i?b ?/ ?s~', $plain) !== 1) {
            return $plain;
        }
        $this->notes[] = '“'.trim($printed).'” in small letters is taken as megabytes, which is what labels mean.';

        return strtoupper($plain[0]).substr((string) preg_replace('~b ?/ ?s~', 'B/s', $plain), 1);
    }

    /** Whether a card of this form could be so fast: its fastest bus carries it. */
    private function isPossible(float $number, string $unit): bool
    {
        try {
            $rate = Rate::parse(sprintf('%.6f', $number).' '.PrintedNumber::unit($unit));
        } catch (NotAQuantity) {
            return false;
        }
        $fastest = 0.0;
        foreach ($this->form === null ? Bus::cases() : $this->form->buses() as $bus) {
            $fastest = max($fastest, $bus->ceiling()->nominal->bytesPerSecond);
        }

        return $rate->bytesPerSecond <= $fastest;
    }
}
