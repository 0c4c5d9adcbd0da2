<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Rate;

/**
 * A speed mark: the least sequential write it promises.
 *
 * Source: SD Association speed-class tables (C, U, V, A); CompactFlash Association VPG profiles.
 * The E and VPG rows are from memory.
 */
enum Mark: string
{
    case C2 = 'C2';
    case C4 = 'C4';
    case C6 = 'C6';
    case C10 = 'C10';
    case U1 = 'U1';
    case U3 = 'U3';
    case V6 = 'V6';
    case V10 = 'V10';
    case V30 = 'V30';
    case V60 = 'V60';
    case V90 = 'V90';
    case E150 = 'E150';
    case E300 = 'E300';
    case E450 = 'E450';
    case E600 = 'E600';
    case A1 = 'A1';
    case A2 = 'A2';
    case Vpg20 = 'VPG20';
    case Vpg65 = 'VPG65';
    case Vpg130 = 'VPG130';
    case Vpg200 = 'VPG200';
    case Vpg400 = 'VPG400';
    case Vpg800 = 'VPG800';

    public function floor(): Rate
    {
        return Rate::megabytesPerSecond(
            match ($this) {
                self::A1, self::A2 => 10,
                self::U1 => 10,
                self::U3 => 30,
                default => (int) substr($this->value, strlen($this->kind()->value)),
            },
        );
    }

    /** @return list<string> what stands behind the letters on such marks: `6`, `10`, … for V; the longest first */
    public static function numbers(string $letters): array
    {
        $values = array_map(fn (self $mark): string => $mark->value, self::cases());
        $those = array_filter($values, fn (string $value): bool => preg_match("/^{$letters}\\d/", $value) === 1);
        $numbers = array_map(fn (string $value): string => substr($value, strlen($letters)), array_values($those));
        usort($numbers, fn (string $a, string $b): int => strlen($b) <=> strlen($a));

        return $numbers;
    }

    /** By the letters before its number. */
    public function kind(): MarkKind
    {
        return MarkKind::from(rtrim($this->value, '0123456789'));
    }

    public function isGuarantee(): bool
    {
        return $this->kind()->isGuarantee();
    }

    public function isSecureDigital(): bool
    {
        return $this->kind()->isSecureDigital();
    }

    /** @return list<self> marks that cards are bought by today, the lowest floor first */
    public static function sold(): array
    {
        $sold = array_values(array_filter(self::cases(), fn (self $mark): bool => $mark->kind()->isSold()));
        usort($sold, fn (self $one, self $other): int => $one->floor()->bytesPerSecond <=> $other->floor()->bytesPerSecond);

        return $sold;
    }

    /** @return list<Bus> the buses the mark is defined for; empty where the standard sets none */
    public function buses(): array
    {
        return $this->kind()->buses($this->floor()->megabytes());
    }

    /** Whether it can only stand on a card with a second row of contacts. */
    public function needsTwoRows(): bool
    {
        return $this->buses() !== [] && array_filter($this->buses(), fn (Bus $bus): bool => $bus->contactRows() !== 2) === [];
    }

    /** Whether the mark says anything over this bus. */
    public function isDefinedOver(Bus $bus): bool
    {
        return $this->buses() === [] || in_array($bus, $this->buses(), true);
    }
}
