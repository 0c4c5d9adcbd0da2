<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\ViewErrorBag;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class PhotoTest extends TestCase
{
    /** A picture of `width` × `height` in which a maker of pictures left a word. */
    private static function picture(string $type, int $width = 60, int $height = 40): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        assert($image !== false);
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 200, 40, 40));
        ob_start();
        match ($type) {
            'png' => imagepng($image),
            'webp' => imagewebp($image),
            default => imagejpeg($image),
        };
        $bytes = (string) ob_get_clean();
        // A comment segment of JPEG, right behind its first two bytes.
        $comment = 'taken at the sea wall';

        return $type === 'jpeg'
            ? substr($bytes, 0, 2)."\xFF\xFE".pack('n', strlen($comment) + 2).$comment.substr($bytes, 2)
            : $bytes;
    }

    private function send(string $side, string $name, string $bytes): void
    {
        $card = Card::query()->first() ?? $this->card();
        $this->post("/cards/{$card->tag}/photos", ['side' => $side, 'photo' => UploadedFile::fake()->createWithContent($name, $bytes)]);
    }

    private function complaint(string $field): string
    {
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);

        return $errors->first($field);
    }

    /** @return iterable<string, array{string}> */
    public static function types(): iterable
    {
        yield 'JPEG' => ['jpeg'];
        yield 'PNG' => ['png'];
        yield 'WebP' => ['webp'];
    }

    #[DataProvider('types')]
    public function test_a_photo_is_encoded_anew_and_shown(string $type): void
    {
        $this->send('back', "back.{$type}", self::picture($type));
        $photo = Photo::query()->firstOrFail();
        self::assertSame(['back', 60, 40], [$photo->side, $photo->width, $photo->height]);
        $kept = (string) $photo->jpeg;
        self::assertStringNotContainsString('sea wall', $kept);
        self::assertSame(IMAGETYPE_JPEG, ((array) getimagesizefromstring($kept))[2] ?? null);
        $shown = $this->get("/photos/{$photo->id}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        self::assertSame($kept, $shown->getContent());
    }

    public function test_a_newer_photo_of_a_side_takes_the_place_of_the_older_one(): void
    {
        $this->send('front', 'a.png', self::picture('png'));
        $this->send('front', 'b.png', self::picture('png', 30, 30));
        $this->send('back', 'c.png', self::picture('png'));
        self::assertSame(2, Photo::query()->count());
        self::assertSame(30, Photo::query()->where('side', 'front')->value('width'));
    }

    public function test_two_photos_under_one_key_are_two_and_one_that_is_sent_twice_is_one(): void
    {
        $this->withHeader('X-Once', 'one key');
        $this->send('front', 'a.jpg', self::picture('jpeg'));
        $first = Photo::query()->value('id');
        $this->send('front', 'a.jpg', self::picture('jpeg'));
        self::assertSame([$first], Photo::query()->pluck('id')->all());
        // The same name, the same size of picture, and other bytes.
        $this->send('front', 'a.jpg', self::picture('jpeg', 60, 41));
        self::assertSame(41, Photo::query()->value('height'));
        $this->send('back', 'a.jpg', self::picture('jpeg', 60, 41));
        self::assertSame(2, Photo::query()->count());
    }

    public function test_a_large_picture_is_scaled_down(): void
    {
        $this->send('front', 'wide.png', self::picture('png', 3000, 600));
        self::assertSame([2000, 400], [Photo::query()->value('width'), Photo::query()->value('height')]);
    }

    /** @return iterable<string, array{string, string, string}> name, bytes, words of the sentence */
    public static function refused(): iterable
    {
        yield 'text named .png' => ['card.png', 'this is no picture at all', 'is no picture inside, whatever its name says'];
        yield 'a kind that is not taken' => [
            'card.png',
            "GIF89a\x01\x00\x01\x00\x80\x00\x00\x00\x00\x00\xFF\xFF\xFF\x2C\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02\x44\x01\x00\x3B",
            'Send a JPEG, PNG or WebP',
        ];
        yield 'cut off' => ['card.png', substr(self::picture('png'), 0, 40), 'cannot be read to its end'];
        yield 'too many pixels' => [
            'card.png',
            "\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR".pack('NN', 30000, 30000)."\x08\x02\x00\x00\x00\x00\x00\x00\x00",
            '30000 × 30000 pixels',
        ];
        yield 'empty' => ['card.png', '', 'is no picture inside'];
        yield 'too large' => ['card.jpeg', str_repeat('x', 13_000_000), '13 MB; a photo may be 12 MB at most'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_photo_is_refused_with_a_sentence(string $name, string $bytes, string $words): void
    {
        $this->send('front', $name, $bytes);
        self::assertStringContainsString($words, $this->complaint('photo_front'));
        $this->assertDatabaseCount('photos', 0);
    }

    public function test_a_photo_shows_one_of_two_sides(): void
    {
        $this->send('edge', 'a.png', self::picture('png'));
        self::assertStringContainsString('front or back', $this->complaint('photo'));
        $card = Card::query()->firstOrFail();
        $this->post("/cards/{$card->tag}/photos", ['side' => 'back'])->assertSessionHasErrors([
            'photo_back' => 'No whole picture arrived. Choose a JPEG, PNG or WebP of at most 12 MB.',
        ]);
    }
}
