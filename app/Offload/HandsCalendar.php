<?php

declare(strict_types=1);

namespace App\Offload;

use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Tally\Offload\Plan;
use Tally\Offload\Reckon\Stretch;

/** When hands are needed, for any calendar: an event for each time, with an alarm a little before. Format: RFC 5545. */
final readonly class HandsCalendar
{
    /** Long enough to walk over to the cart: house default, no source. ISO 8601. */
    private const BEFORE = '-PT2M';

    /**
     * @param  string  $name  of the plan; the same name and beginning give the same events, so that importing it again changes them
     * @return string iCalendar
     */
    public static function of(Plan $plan, DateTimeImmutable $begins, string $name): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Gritty Tally//offload//EN']);
        foreach ($plan->course->handsAtWork() as $i => $acts) {
            $words = array_map(fn (Stretch $act): string => self::words($plan, $act), $acts);
            self::event(
                $calendar,
                "{$name} hands {$i}",
                $begins,
                $acts[0]->since,
                until: end($acts)->until,
                title: self::title($words),
                words: $words,
            );
        }
        [$free, $done] = [$plan->course->allFree(), $plan->course->done];
        if ($plan->decision->cards !== []) {
            $safe = $plan->question->rules->readsBack() ? 'All copies are safe' : 'All copies are made, none is verified';
            $caution = ['Clear no card before two copies of it, on two drives, have been read back.'];
            self::event($calendar, "{$name} free", $begins, $free, until: $free, title: 'Cards are free', words: $caution);
            self::event($calendar, "{$name} done", $begins, $done, until: $done, title: $safe, words: $caution);
        }

        return $calendar->serialize();
    }

    /** @param  list<string>  $words */
    private static function title(array $words): string
    {
        return count($words) === 1 ? ucfirst($words[0]) : 'Hands: '.count($words).' cards to put in or swap';
    }

    private static function words(Plan $plan, Stretch $act): string
    {
        $card = $plan->decision->cards[$act->placement];

        return ($card->order === 1 ? 'put ' : 'swap ')."{$card->tag} into {$card->slot}";
    }

    /** @param  list<string>  $words */
    private static function event(
        VCalendar $calendar,
        string $what,
        DateTimeImmutable $begins,
        float $since,
        float $until,
        string $title,
        array $words,
    ): void {
        $at = fn (float $seconds): DateTimeImmutable => $begins
            ->setTimezone(new DateTimeZone('UTC'))
            ->modify('+'.(int) round($seconds).' seconds');
        $event = $calendar->createComponent('VEVENT', [
            'UID' => hash('xxh128', "{$what} {$begins->getTimestamp()}").'@gritty-tally',
            'SUMMARY' => $title,
            'DESCRIPTION' => implode("\n", $words),
            'DTSTART' => $at($since),
            'DTEND' => $at(max($until, $since + 60)),
        ]);
        $event->add('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $title, 'TRIGGER' => self::BEFORE]);
        $calendar->add($event);
    }
}
