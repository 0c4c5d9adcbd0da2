<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\When;
use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;

/** When each card is tested again, for any calendar: a whole day for each. Format: RFC 5545. */
final readonly class DueCalendar
{
    /** @return string iCalendar; the same card and test is the same event, so that importing it again moves it */
    public static function ofHouse(): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Gritty Tally//due//EN']);
        $due = Card::query()->whereNotNull('due_on')->whereNull('retired_on')->orderBy('due_on')->orderBy('tag');
        foreach ($due->get(['id', 'tag', 'due_on', 'due_test', 'due_why']) as $card) {
            if ($card->due_on !== null && $card->due_test !== null) {
                $day = new DateTimeImmutable($card->due_on->format(When::ISO_DAY), new DateTimeZone('UTC'));
                $event = $calendar->createComponent('VEVENT', [
                    'UID' => hash('xxh128', "due {$card->id} {$card->due_test->value}").'@gritty-tally',
                    'SUMMARY' => "{$card->tag}: ".lcfirst($card->due_test->words()),
                    'DESCRIPTION' => ucfirst($card->due_why ?? ''),
                ]);
                $event->add('DTSTART', $day, ['VALUE' => 'DATE']);
                $event->add('DTEND', $day->modify('+1 day'), ['VALUE' => 'DATE']);
                $calendar->add($event);
            }
        }

        return $calendar->serialize();
    }
}
