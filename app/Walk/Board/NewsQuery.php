<?php

declare(strict_types=1);

namespace App\Walk\Board;

use App\Models\Planter;
use App\Models\Walk;
use App\Wear\OutlookQuery;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Reads what has changed on a walk since a device last heard of it. */
final readonly class NewsQuery
{
    public function __construct(
        private BoardQuery $boards,
        private OutlookQuery $outlooks,
    ) {
    }

    /** @param  CarbonImmutable|null  $since  the as_of of the news or guide heard last; null for everything */
    public function of(Walk $walk, ?CarbonImmutable $since): WalkNews
    {
        $board = $this->boards->ofWalk($walk, $walk->planter);
        $changed = $since === null ? null : DB::table('readings')
            ->where('walk_id', $walk->id)
            // Included: two batches may share a millisecond.
            ->where('recorded_at', '>=', $since->format('Y-m-d H:i:s.vP'))
            ->distinct()
            ->selectRaw("row_number || ':' || check_key || ':' || side AS place")
            ->pluck('place')
            ->all();

        return new WalkNews($board, $changed, self::asOf($walk));
    }

    /** The guide's matter: the planter's open walk, or the one that would be started. */
    public function ofPlanter(Planter $planter): WalkNews
    {
        $walk = $planter->openWalk();

        return $walk === null
            ? new WalkNews($this->boards->unwalked($planter), null, CarbonImmutable::now(), $this->outlooks->ofPlanter($planter))
            : new WalkNews($this->boards->ofWalk($walk, $planter), null, self::asOf($walk), $this->outlooks->kept($walk));
    }

    /** When the newest reading of a walk came in; its start where there is none. */
    private static function asOf(Walk $walk): CarbonImmutable
    {
        $newest = DB::table('readings')->where('walk_id', $walk->id)->max('recorded_at');

        return $newest === null ? $walk->started_at : CarbonImmutable::parse($newest);
    }
}
