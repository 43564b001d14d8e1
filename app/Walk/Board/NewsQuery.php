<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Record\Moments;
use App\Walk\KeptOutlooks;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\PlanterWear;

/** Reads what has changed on a walk since a device last heard of it. */
final readonly class NewsQuery
{
    public function __construct(private BoardQuery $boards)
    {
    }

    /** @param  Moment|null  $since  the as_of of the news or guide heard last; null for everything */
    public function of(Walk $walk, ?Moment $since): WalkNews
    {
        // Before anything else is read: what comes in meanwhile is told the next time, if it was not now.
        $asOf = self::asOf($walk);
        $changed = $since === null ? null : self::changedSince($walk, $since);

        return new WalkNews($this->boards->ofWalk($walk, $walk->planter), $changed, $asOf);
    }

    /** @return list<string> keys of the places that were read since */
    private static function changedSince(Walk $walk, Moment $since): array
    {
        $keys = Reading::query()
            ->where('walk_id', $walk->id)
            // Included: two batches may share a millisecond.
            ->where('recorded_at', '>=', $since->toIso())
            ->toBase()
            ->distinct()
            ->selectRaw(Place::KEY_IN_SQL.' AS place')
            ->pluck('place')
            ->all();

        return array_map(static fn (mixed $key): string => (string) $key, array_values($keys));
    }

    /** The guide's matter: the planter's open walk, or the one that would be started. */
    public function ofPlanter(Planter $planter): WalkNews
    {
        $walk = $planter->openWalk();
        $asOf = $walk === null ? Moments::now() : self::asOf($walk);

        return $walk === null
            ? new WalkNews($this->boards->unwalked($planter), null, $asOf, self::outlooksOfNext($planter))
            : new WalkNews($this->boards->ofWalk($walk, $planter), null, $asOf, KeptOutlooks::of($walk));
    }

    /** @return array<string, SeasonOutlook> of the walk that would be started now, by place key */
    private static function outlooksOfNext(Planter $planter): array
    {
        $checks = PlanterWear::checks($planter->readSheet());
        $wear = (new WearRecord($planter))->wearOfNextWalk(PlanterWear::keys($checks));
        $outlooks = [];
        foreach ($checks as $check) {
            $outlooks += $wear->outlooks($check);
        }

        return $outlooks;
    }

    /** When the newest reading of a walk came in; its start where there is none. */
    private static function asOf(Walk $walk): Moment
    {
        $newest = Reading::query()->where('walk_id', $walk->id)->toBase()->selectRaw('max('.Moments::sql('recorded_at').') AS at')->value('at');

        return $newest === null ? $walk->began() : Moment::ofMilliseconds($newest);
    }
}
