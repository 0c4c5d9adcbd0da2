<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** An address that signs one person in, once and for a few minutes: for whoever is at the terminal of the house. */
final readonly class OnceAddress
{
    private const MINUTES = 10;

    public static function of(User $user): string
    {
        $token = Str::random(40);
        DB::table('once_addresses')->where('until', '<', now())->delete();
        DB::table('once_addresses')->insert([
            'token' => hash('sha256', $token),
            'user_id' => $user->id,
            'until' => now()->addMinutes(self::MINUTES),
        ]);

        return "/sign-in/once/{$token}";
    }

    /** @return User|null whose it was; null where it was used, is too old, or never was */
    public static function use(string $token): ?User
    {
        $key = hash('sha256', $token);
        $id = DB::table('once_addresses')->where('token', $key)->where('until', '>=', now())->value('user_id');
        // Of two at once, one takes it away.
        $isFirst = DB::table('once_addresses')->where('token', $key)->delete() === 1;

        return $isFirst ? User::query()->whereKey($id)->whereNull('disabled_at')->first() : null;
    }
}
