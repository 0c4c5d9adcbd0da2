<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** The one word that says no, or what is said beside a yes. */
enum Word: string
{
    /** A struck-out card records nothing. */
    case Sham = 'sham';
    case Shaky = 'shaky';
    /** The slot has no bus that the card speaks. */
    case DoesNotFit = 'does-not-fit';
    /** The bus that card and slot settle on carries less than the mode writes. */
    case BusTooSlow = 'bus-too-slow';
    /** The camera refuses without a class, medium or form that the label does not name. */
    case AsksFor = 'asks-for';
    /** No mark that says anything over this bus. */
    case NoMark = 'no-mark';
    /** Its marks promise less. */
    case PromisesLess = 'promises-less';
    /** No VPG or E mark. */
    case NotGuaranteed = 'not-guaranteed';
    /** No long write says what it keeps up. */
    case NotMeasured = 'not-measured';
    /** It was measured to keep up less, and that is the card's own doing. */
    case FallsTo = 'falls-to';
    /** It was measured to keep up less over a chain that may have held it: it keeps up at least that. */
    case AtLeast = 'at-least';
}
