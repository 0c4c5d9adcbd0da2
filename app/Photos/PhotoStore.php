<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Intervention\Image\Encoders\JpegEncoder;
use Intervention\Image\ImageManager;
use Throwable;

/**
 * Takes pictures of cards. Each is decoded and encoded anew, so that nothing is kept but what can be seen: no place, no
 * camera, nothing that was hidden in the file. They are kept in the books, where every bench of the house finds them.
 */
final readonly class PhotoStore
{
    public const MOST_BYTES = 12_000_000;

    /** Decoding takes about five bytes a pixel. */
    private const MOST_PIXELS = 40_000_000;

    private const SIDE = 2000;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @param  string  $path  where the file lies
     * @param  string  $called  what whoever sent it calls it
     *
     * @throws NotAPhoto with a sentence
     */
    public static function keep(Card $card, string $side, string $path, string $called, ?string $by): Photo
    {
        [$jpeg, $width, $height] = self::encodedAnew($path, Str::limit($called, 60));

        return DB::transaction(function () use ($card, $side, $jpeg, $width, $height, $by): Photo {
            $card->photos()->where('side', $side)->delete();

            return Photo::query()->create([
                'card_id' => $card->id,
                'side' => $side,
                'jpeg' => $jpeg,
                'width' => $width,
                'height' => $height,
                'recorded_by' => $by,
            ]);
        });
    }

    /**
     * @return array{string, int, int} JPEG, width, height
     *
     * @throws NotAPhoto
     */
    private static function encodedAnew(string $path, string $name): array
    {
        $bytes = (int) filesize($path);
        if ($bytes > self::MOST_BYTES) {
            throw NotAPhoto::tooLarge($name, $bytes, self::MOST_BYTES);
        }
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw NotAPhoto::otherKind($name);
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw NotAPhoto::tooManyPixels($name, $size[0], $size[1]);
        }
        try {
            $image = ImageManager::gd()->read($path)->scaleDown(self::SIDE, self::SIDE);

            return [(string) $image->encode(new JpegEncoder(84, strip: true)), $image->width(), $image->height()];
        } catch (Throwable) {
            throw NotAPhoto::broken($name);
        }
    }
}
