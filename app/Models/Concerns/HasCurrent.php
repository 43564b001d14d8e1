<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;

/**
 * An event of a planter that a later one may take the place of: columns planter_id, supersedes and withdrawn.
 *
 * @method static Builder<static> current(int $planterId)
 */
trait HasCurrent
{
    /**
     * The events of a planter that hold: neither superseded nor taken back. The ids that were superseded are few, have an
     * index of their own, and are read once.
     *
     * @param  Builder<static>  $events
     */
    #[Scope]
    protected function current(Builder $events, int $planterId): void
    {
        $table = $this->getTable();
        $events
            ->where("{$table}.planter_id", $planterId)
            ->where("{$table}.withdrawn", false)
            ->whereNotIn("{$table}.id", static fn (Query $later): Query => $later
                ->from("{$table} AS later")
                ->where('later.planter_id', $planterId)
                ->whereNotNull('later.supersedes')
                ->select('later.supersedes'));
    }
}
