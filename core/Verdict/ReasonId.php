<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** Every reason there is besides the findings of a label: stable names, and what each bears. Handbook § 6. */
enum ReasonId: string
{
    case CapacityProven = 'capacity-proven';
    case CapacityStartsOver = 'capacity-starts-over';
    case CapacityDropped = 'capacity-dropped';
    case CapacitySpoilt = 'capacity-spoilt';
    case CapacityShared = 'capacity-shared';
    case CapacityShowsLess = 'capacity-shows-less';
    case CapacitySameEndTwice = 'capacity-same-end-twice';
    case CapacityEndsInErrors = 'capacity-ends-in-errors';
    case CapacityBadSpots = 'capacity-bad-spots';
    case CapacityKeepsNothing = 'capacity-keeps-nothing';
    case CapacityKeepsOld = 'capacity-keeps-old';
    case CapacityShowsNothing = 'capacity-shows-nothing';
    case CapacityTailLost = 'capacity-tail-lost';
    case CapacityRefusesAll = 'capacity-refuses-all';
    case CapacityUnreadable = 'capacity-unreadable';
    case CapacityNotAnyMore = 'capacity-not-any-more';
    case CapacityUnits = 'capacity-units';
    case CapacityNotProven = 'capacity-not-proven';
    case CapacityNothingRead = 'capacity-nothing-read';
    case CapacityNotForgotten = 'capacity-not-forgotten';
    case CapacityScreened = 'capacity-screened';
    case CapacityPart = 'capacity-part';
    case CapacityFolderPart = 'capacity-folder-part';
    case DataChanged = 'data-changed';

    case ClassMet = 'class-met';
    case ClassFloorMissed = 'class-floor-missed';
    case ClassReadingsUnder = 'class-readings-under';
    case ClassWriteTooShort = 'class-write-too-short';
    case ClassNotMeasured = 'class-not-measured';
    case ClassNoLongWrite = 'class-no-long-write';
    case ClassTooClose = 'class-too-close';
    case ClassSingleLook = 'class-single-look';
    case ClassOtherBus = 'class-other-bus';
    case ClassNotJudgedHere = 'class-not-judged-here';

    case SustainedKept = 'sustained-kept';
    case SustainedMissed = 'sustained-missed';
    case SustainedReadingsUnder = 'sustained-readings-under';
    case SustainedWriteTooShort = 'sustained-write-too-short';
    case SustainedNotMeasured = 'sustained-not-measured';
    case SustainedNotJudgedHere = 'sustained-not-judged-here';

    case ClaimNear = 'claim-near';
    case ClaimAbove = 'claim-above';
    case ClaimUnder = 'claim-under';
    case ClaimWellShort = 'claim-well-short';
    case ClaimSingleLook = 'claim-single-look';
    case ClaimUneven = 'claim-uneven';
    case ClaimNotMeasured = 'claim-not-measured';
    case ClaimNotJudgedHere = 'claim-not-judged-here';

    case RepeatDiffers = 'repeat-differs';
    case RepeatNewestStand = 'repeat-newest-stand';
    case ReadFarUnderWrite = 'read-far-under-write';

    case FigureStruck = 'figure-struck';
    case ReadingLeftOut = 'reading-left-out';

    case FoundOnlyPressed = 'seen-trouble';
    case FoundNowhere = 'not-found-in-readers';

    /** @return VerdictKind|null null for a note */
    public function bearing(): ?VerdictKind
    {
        return match ($this) {
            self::CapacityStartsOver,
            self::CapacityDropped,
            self::CapacitySpoilt,
            self::CapacityShared,
            self::CapacityShowsLess,
            self::CapacitySameEndTwice => VerdictKind::Sham,
            self::CapacityEndsInErrors,
            self::CapacityBadSpots,
            self::CapacityKeepsNothing,
            self::CapacityKeepsOld,
            self::CapacityShowsNothing,
            self::CapacityTailLost,
            self::CapacityRefusesAll,
            self::CapacityUnreadable,
            self::CapacityNotAnyMore,
            self::DataChanged,
            self::RepeatDiffers,
            self::ReadFarUnderWrite,
            self::FoundOnlyPressed,
            self::FoundNowhere => VerdictKind::Shaky,
            self::ClassFloorMissed,
            self::ClassReadingsUnder,
            self::SustainedMissed,
            self::SustainedReadingsUnder,
            self::ClaimWellShort => VerdictKind::Slow,
            self::CapacityProven,
            self::ClassMet,
            self::SustainedKept,
            self::ClaimNear,
            self::ClaimAbove,
            self::ClaimUnder,
            self::RepeatNewestStand => VerdictKind::Sound,
            self::FigureStruck, self::ReadingLeftOut => null,
            default => VerdictKind::Unproven,
        };
    }
}
