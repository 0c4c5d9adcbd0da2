<?php

declare(strict_types=1);

namespace Tally\Inspection;

use Tally\Label\About;
use Tally\Label\Form;
use Tally\Label\Label;

/** What to look at on a card before and while it is plugged in, one thing at a time, in working order. */
enum Question: string
{
    case ContactRows = 'contact-rows';
    case Connector = 'connector';
    case Outline = 'outline';
    case Print = 'print';
    case Shell = 'shell';
    case LockSlider = 'lock-slider';
    case Serial = 'serial';
    case BackCode = 'back-code';
    case Seating = 'seating';
    /** Nobody is asked: the copies of an offload answer it. */
    case Copying = 'copying';

    /** @return list<self> */
    public static function for(Label $label): array
    {
        return array_values(array_filter(self::cases(), fn (self $question): bool => $question->isAskedOf($label->form)));
    }

    public function isAskedOf(Form $form): bool
    {
        return match ($this) {
            self::ContactRows => $form->isSecureDigital(),
            self::Connector => in_array($form, [Form::Cf, Form::CFast], true),
            self::Outline => in_array($form, [Form::CFexpressA, Form::CFexpressB, Form::CFexpressC, Form::Xqd], true),
            self::LockSlider => $form === Form::Sd,
            self::Copying => false,
            default => true,
        };
    }

    public function asks(): string
    {
        return match ($this) {
            self::ContactRows => 'Turn it over. How many rows of contacts?',
            self::Connector => 'Look into the edge that goes in. What is there?',
            self::Outline => 'Compare its outline. Which of these is it?',
            self::Print => 'Read the print closely. Is it as on its sisters?',
            self::Shell => 'Run a nail along the seam. Is the shell whole?',
            self::LockSlider => 'Move the lock slider. Does it click and stay?',
            self::Serial => 'Is there a serial number?',
            self::BackCode => 'Is there a code on the back?',
            self::Seating => 'Slide it in, slow and straight. Is it found without a finger on it?',
            self::Copying => 'Did every file read when it was copied, and the same each time?',
        };
    }

    /** Where to look, and what not to do. */
    public function how(): string
    {
        return match ($this) {
            self::ContactRows => 'One row of contacts runs along the edge. A second, shorter row below it carries UHS-II, UHS-III '.
                'and SD Express.',
            self::Connector => 'CompactFlash has two rows of pin holes; CFast has a flat tongue with contacts.',
            self::Outline => 'The three types differ in size: A is about 20 × 28 mm, B and XQD 38 × 30 mm, C 54 × 74 mm.',
            self::Print => 'Letters sharp, marks drawn as the standard draws them, nothing pasted over older print.',
            self::Shell => 'No crack, no open seam, clean contacts. What is cracked can break off inside a slot: leave it out.',
            self::LockSlider => 'It stands toward the contacts when the card may be written. A loose one locks the card in the '.
                'middle of a shoot.',
            self::Serial => 'Type it exactly as it is. No two cards of one maker carry the same.',
            self::BackCode => 'Small print, often beside the place of making. It tells the factory and its lot; the label does not.',
            self::Seating => 'Never force a stiff slot: a forced card snaps. Let a card that was hot cool first. Your local rules '.
                'and the maker’s instructions come first.',
            self::Copying => 'It is read once to be copied, and once more where a copy is not as it should be.',
        };
    }

    /** @return non-empty-list<Answer> */
    public function answers(): array
    {
        return match ($this) {
            self::ContactRows => [new Answer('one', 'one row'), new Answer('two', 'two rows'), self::unsure()],
            self::Connector => [
                new Answer('holes', 'two rows of pin holes'),
                new Answer('tongue', 'a flat tongue with contacts'),
                self::unsure(),
            ],
            self::Outline => [
                new Answer('a', 'type A, the smallest'),
                new Answer('b', 'type B, the size of XQD'),
                new Answer('c', 'type C, the largest'),
                self::unsure(),
            ],
            self::Print => [
                new Answer('clean', 'sharp and as it should be'),
                new Answer('smudged', 'smudged, crooked or pale', 'The print is smudged, crooked or pale.', Weight::Doubt),
                new Answer('misspelt', 'a word or mark is wrong', 'A word or a mark on it is drawn wrong.', Weight::Doubt),
                new Answer(
                    'sticker',
                    'a sticker over other print',
                    'A sticker covers other print: it may have been relabelled.',
                    Weight::Doubt,
                ),
            ],
            self::Shell => [
                new Answer('whole', 'whole and clean'),
                new Answer('worn', 'worn, but whole', 'The shell is worn.', Weight::Doubt),
                new Answer(
                    'cracked',
                    'cracked, bent or coming apart',
                    'The shell is cracked, bent or coming apart: it can break off inside a slot. Do not put it in.',
                    Weight::Trouble,
                ),
            ],
            self::LockSlider => [
                new Answer('firm', 'it clicks and stays'),
                new Answer(
                    'loose',
                    'it is loose or slips',
                    'The lock slider slips: the card can lock itself while recording.',
                    Weight::Doubt,
                ),
                new Answer(
                    'missing',
                    'it is broken off',
                    'The lock slider is broken off: many slots take the card for locked.',
                    Weight::Doubt,
                ),
            ],
            self::Serial => [
                new Answer('typed', 'yes, type it', asksCode: true),
                new Answer('none', 'there is none'),
                new Answer('unreadable', 'it was rubbed off', 'The serial number was rubbed off.', Weight::Doubt),
            ],
            self::BackCode => [
                new Answer('typed', 'yes, type it', asksCode: true),
                new Answer('none', 'there is none'),
                new Answer('unreadable', 'it cannot be read'),
            ],
            self::Seating => [
                new Answer('found', 'it seats and is found'),
                new Answer('stiff', 'it goes in stiffly', 'It went in stiffly.', Weight::Doubt),
                new Answer('pressed', 'only while I press on it', 'It is found only while somebody presses on it.', Weight::Trouble),
                new Answer('lost', 'it comes and goes', 'Its contact comes and goes.', Weight::Trouble),
                new Answer('not-found', 'it is not found', 'It was not found.', Weight::Doubt),
            ],
            self::Copying => [
                new Answer('unreadable', 'a file could not be read', 'A file on it could not be read when it was copied.', Weight::Doubt),
                new Answer('unsteady', 'it read otherwise the second time', 'It gave other bytes the second time.', Weight::Trouble),
            ],
        };
    }

    public function answer(string $key): ?Answer
    {
        foreach ($this->answers() as $answer) {
            if ($answer->key === $key) {
                return $answer;
            }
        }

        return null;
    }

    public function source(): string
    {
        return match ($this) {
            self::ContactRows => 'SD physical-layer specification, contacts',
            self::Connector => 'CompactFlash Association specifications, from memory',
            self::Outline => 'CFexpress specification, outlines; figures from memory',
            default => 'common practice, no source',
        };
    }

    public function about(): About
    {
        return match ($this) {
            self::Seating, self::Shell, self::LockSlider, self::Copying => About::Contact,
            default => About::Label,
        };
    }

    /** Whether the answer speaks of a card in a certain reader, so that it is kept for both. */
    public function isInReader(): bool
    {
        return in_array($this, [self::Seating, self::Copying], true);
    }

    private static function unsure(): Answer
    {
        return new Answer('unsure', 'I cannot tell');
    }
}
