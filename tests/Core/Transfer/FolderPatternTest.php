<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Transfer\FilePath;
use Tally\Transfer\FolderPattern;

final class FolderPatternTest extends TestCase
{
    public function test_each_word_is_put_in_its_place(): void
    {
        self::assertSame('Harbour/2026-11-27/QS-014', FolderPattern::of(FolderPattern::HOUSE)->folder('Harbour', '2026-11-27', 'QS-014'));
        self::assertSame('QS-014 of Harbour', FolderPattern::of('{card} of {shoot}')->folder(' Harbour ', '', 'QS-014'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'cards would meet' => ['{shoot}/{day}', 'their files would meet'];
        yield 'an unknown word' => ['{camera}/{card}', 'is not known'];
        yield 'out of the folder' => ['../{card}', 'leads out'];
        yield 'from the root' => ['/{card}', 'leads out'];
        yield 'an empty part' => ['{shoot}//{card}', 'leads out'];
        yield 'a letter that exFAT refuses' => ['{shoot}:{card}', 'cannot hold'];
    }

    #[DataProvider('wrong')]
    public function test_a_pattern_that_would_not_do_is_refused(string $pattern, string $why): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($why);
        FolderPattern::of($pattern);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function wrongWords(): iterable
    {
        yield 'up' => ['..', 'QS-1', 'The shoot is empty|cannot be part|leads out'];
        yield 'a slash' => ['a/b', 'QS-1', 'cannot be part'];
        yield 'none' => ['  ', 'QS-1', 'The shoot is empty'];
        yield 'an end of a line' => ["a\nb", 'QS-1', 'cannot be part'];
    }

    #[DataProvider('wrongWords')]
    public function test_what_is_typed_leads_nowhere_else(string $shoot, string $card, string $why): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessageMatches("#{$why}#");
        FolderPattern::of(FolderPattern::HOUSE)->folder($shoot, '2026-11-27', $card);
    }

    public function test_a_path_is_shown_without_what_would_move_the_pen(): void
    {
        self::assertSame('a\\x0Ab\\xFF', FilePath::shown("a\nb\xFF"));
        self::assertSame('Größe', FilePath::shown('Größe'));
    }
}
