<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Card;
use App\Models\Run;
use App\Models\Station;
use App\Props\FrameProps;
use App\Props\StageProps;
use App\Props\TagProps;
use App\Runs\RunState;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Support\Collection;
use Tally\Verdict\Step;

/** The tray, the line and the station. */
final readonly class Frame
{
    public static function now(): FrameProps
    {
        $cards = Card::query()
            ->withCount(['runs', 'runs as going_count' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->orderBy('tag')
            ->get()->toBase();
        $station = Station::here();

        return new FrameProps(
            $station->name ?? 'No station',
            $station?->hasWorker() ?? false,
            $station === null ? 0 : Run::query()->where('station_id', $station->id)->whereIn('state', RunState::going())->count(),
            array_values($cards->map(fn (Card $card): TagProps => new TagProps($card->tag, LabelWords::line($card), $card->verdict, $card->runs_count ?? 0, ($card->going_count ?? 0) > 0))->all()),
            self::stages($cards),
        );
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @return list<StageProps>
     */
    private static function stages(Collection $cards): array
    {
        $at = fn (Step $step): int => $cards->filter(fn (Card $card): bool => $card->next_step === $step)->count();
        $toBringHome = $cards->filter(fn (Card $card): bool => $card->footage > 0 && ! $card->verdict->isStruckOut())->count();

        return [
            new StageProps('intake', 'Intake', 0),
            new StageProps('measure', 'Measure', $at(Step::Measure)),
            new StageProps('prove', 'Prove', $at(Step::Prove)),
            new StageProps('offload', 'Offload', $toBringHome),
        ];
    }
}
