<?php

declare(strict_types=1);

namespace App\Models\Offload;

/** Why what lies in a slot was not taken for the card that belongs there. */
enum WhyRefused: string
{
    /** Nothing there, or nothing that can be read. */
    case Nothing = 'nothing';
    /** By its own number it is another card; or it is not what it was before. */
    case Another = 'another';
    /** By the number of its file system it is another card; some cameras give all cards the same one. */
    case Looks = 'looks';
    /** Less than was marked: a person may say that it is right all the same. */
    case Less = 'less';
    /** More than was marked, where somebody had counted: a person may say that it was recorded since. */
    case More = 'more';
    /** It was read, and was written to since: it comes home from the beginning. */
    case Grown = 'grown';
    /** A copy would lie on the card itself. */
    case Place = 'place';

    /** Whether a person who was told of it may say, with a name, that it is right all the same. */
    public function mayBeRight(): bool
    {
        return in_array($this, [self::Looks, self::Less, self::More], true);
    }
}
