<?php

declare(strict_types=1);

namespace App\Http;

use App\Intake\FootageBook;
use App\Kit\KitKind;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\Offload\SavedPlan;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * What a page showed of a thing, by a word that is another one once the thing has changed. The page sends it back with what it saves,
 * so that an old page undoes nothing.
 */
final readonly class Seen
{
    public const HEADER = 'X-Seen';

    /** @return array<string, string> of all that this page may save: thing → word */
    public static function on(Request $request): array
    {
        $words = [];
        foreach (['card', 'plan', 'kit', 'rules'] as $thing) {
            $word = self::word($request, $thing);
            if ($word !== null) {
                $words[$thing] = $word;
            }
        }

        return $words;
    }

    private static function word(Request $request, string $thing): ?string
    {
        $bound = $request->route($thing === 'kit' ? 'kind' : $thing);

        return match (true) {
            // Marked, cleared and taken out of service on these pages alone.
            $bound instanceof Card => ! $request->isMethodSafe() || $request->is('intake/*', 'ledger/*') ? FootageBook::seen($bound) : null,
            $bound instanceof SavedPlan => self::sum($bound->getAttributes()),
            $thing === 'kit' && is_string($key = $request->route('key')) => self::kit($bound, $key),
            $thing === 'rules' && $request->is('rules', 'rules/*', 'fit/*') => self::rules(),
            default => null,
        };
    }

    private static function rules(): string
    {
        $rules = HouseRule::query()->orderBy('name')->toBase()->get();

        return $rules->isEmpty() ? '' : self::sum($rules);
    }

    private static function kit(mixed $kind, string $key): ?string
    {
        $kind = is_string($kind) ? KitKind::tryFrom($kind) : $kind;

        return $kind instanceof KitKind ? $kind->section()->form($key)?->state() : null;
    }

    private static function sum(mixed $of): string
    {
        return substr(hash('sha256', json_encode($of, JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** What the page that saves had seen of it; empty where it does not say. */
    public static function said(Request $request, string $thing): string
    {
        parse_str((string) $request->headers->get(self::HEADER, ''), $said);

        return is_string($said[$thing] ?? null) ? $said[$thing] : '';
    }

    /** @throws ValidationException where it is another by now */
    public static function mustBeSo(Request $request, string $thing): void
    {
        $now = self::word($request, $thing);
        // Who says nothing has seen nothing: that is enough where nothing was there to be seen.
        $said = self::said($request, $thing);
        if ($now === null || $now === $said) {
            return;
        }
        $card = $request->route('card');
        throw ValidationException::withMessages([
            'seen' => match (true) {
                $said === '' => 'Which state of it this is about was not said, so that it might undo what somebody else saved. Load '.
                    'the page again.',
                $card instanceof Card => FootageBook::since($card, $said),
                default => 'Somebody else saved it after this page was loaded. Nothing of yours was saved. What stands now is shown: '.
                    'look at it, and say so again.',
            },
        ]);
    }
}
