<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/**
 * The speeds on a label: labelled before (`read 95MB/s`) or behind (`95MB/s R`), in pairs (`95/90 MB/s`), or alone.
 *
 * A lone speed without a word is what makers print largest: the read claim. That is said in a note.
 */
final class SpeedWords
{
    private const NUMBER = '\d{1,3}(?: \d{3})+|\d{1,5}(?:[.,]\d{1,2})?';

    private const UNIT = '[KMGT]i?B(?: ?/ ?s(?:ec)?|ps)|[KMGT](?:b|bit)(?: ?/ ?s(?:ec)?|ps)';

    private const READ = 'reading|reads?|rd|R';

    private const WRITE = 'writing|writes?|wr|W';

    private const SUSTAINED = '(?:min(?:imum)?\.? )?sustained(?: (?:write|writing))?|min(?:imum)?\.? (?:write|writing)';

    private const FILLER = '(?: ?speeds?)?(?: ?[:=])?(?: ?up to)?';

    public ?Rate $read = null;

    public ?Rate $write = null;

    public ?Rate $sustained = null;

    /** @var array<string, string> */
    public array $from = [];

    /** @var list<string> */
    public array $notes = [];

    private function __construct(private readonly Strip $strip) {}

    public static function read(Strip $strip): self
    {
        $words = new self($strip);
        $words->pairs();
        $words->labelled();
        $words->unlabelled();

        return $words;
    }

    /** `R/W 300/299MB/s`, `95/90 MB/s`, `280MB/s / 100MB/s`, `read 1700 / write 1400 MB/s`. */
    private function pairs(): void
    {
        [$n, $u, $r, $w, $f] = [self::NUMBER, self::UNIT, self::READ, self::WRITE, self::FILLER];
        $found = $this->strip->take("(?:{$r}) ?[:=]?{$f} ?(?<read>{$n}) ?(?<readUnit>{$u})? ?[/,+&-]? ?(?:and )?(?:{$w}) ?[:=]?{$f} ?(?<write>{$n}) ?(?<unit>{$u})?")
            ?? $this->strip->take("(?:{$w}) ?[:=]?{$f} ?(?<write>{$n}) ?(?<unit>{$u})? ?[/,+&-]? ?(?:and )?(?:{$r}) ?[:=]?{$f} ?(?<read>{$n}) ?(?<readUnit>{$u})?")
            ?? $this->strip->take("(?<read>{$n}) ?(?<readUnit>{$u})? ?\\(?(?:{$r})\\)? ?[/,+&-]? ?(?:and )?(?:up to )?(?<write>{$n}) ?(?<unit>{$u})? ?\\(?(?:{$w})\\)?")
            ?? $this->strip->take("(?:(?:{$r}) ?[/&] ?(?:{$w}){$f} ?)?(?<read>{$n}) ?(?<readUnit>{$u})? ?/ ?(?<write>{$n}) ?(?<unit>{$u})(?: ?\(?(?:{$r}) ?[/&] ?(?:{$w})\)?)?");
        if ($found === null) {
            return;
        }
        // One unit for both, as makers save ink; none at all is MB/s, the unit of cards.
        $units = array_values(array_filter([$found['unit'] ?? '', $found['readUnit'] ?? ''], fn (string $unit): bool => $unit !== ''));
        $own = fn (string $unit): string => ($found[$unit] ?? '') !== '' ? $found[$unit] : ($units[0] ?? 'MB/s');
        $this->set('read', $found['read'] ?? '', $own('readUnit'), $found[0]);
        $this->set('write', $found['write'] ?? '', $own('unit'), $found[0]);
    }

    private function labelled(): void
    {
        [$n, $u, $f] = [self::NUMBER, self::UNIT, self::FILLER];
        foreach (['sustained' => self::SUSTAINED, 'read' => self::READ, 'write' => self::WRITE] as $field => $word) {
            $found = $this->strip->take("(?:up to )?(?<value>{$n}) ?(?<unit>{$u}) ?\(?(?:{$word})\)?")
                ?? $this->strip->take("(?:{$word}) ?{$f} ?(?<value>{$n}) ?(?<unit>{$u})?");
            if ($found !== null && $this->{$field} === null) {
                $this->set($field, $found['value'] ?? '', ($found['unit'] ?? '') !== '' ? $found['unit'] : 'MB/s', $found[0]);
            }
        }
    }

    private function unlabelled(): void
    {
        [$n, $u] = [self::NUMBER, self::UNIT];
        if ($this->read !== null) {
            return;
        }
        $found = $this->strip->take("(?:up to )?(?<value>{$n}) ?(?<unit>{$u})");
        if ($found !== null) {
            $this->set('read', $found['value'] ?? '', $found['unit'] ?? '', $found[0]);
            $this->notes[] = "“{$found[0]}” says neither read nor write: taken as the read claim, which is what makers print.";
        }
    }

    private function set(string $field, string $value, string $unit, string $from): void
    {
        try {
            $rate = Rate::parse(str_replace(' ', '', $value).' '.$unit);
        } catch (NotAQuantity $fault) {
            $this->notes[] = $fault->getMessage();

            return;
        }
        match ($field) {
            'read' => $this->read = $rate,
            'write' => $this->write = $rate,
            default => $this->sustained = $rate,
        };
        $this->from[$field] = $from;
    }
}
