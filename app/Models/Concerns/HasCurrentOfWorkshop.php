<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;

/**
 * An event of a workshop that a later one may take the place of: columns workshop_id, supersedes and withdrawn.
 *
 * @method static Builder<static> current(int $workshopId)
 */
trait HasCurrentOfWorkshop
{
    /**
     * Those of a workshop that hold: neither superseded nor taken back.
     *
     * @param  Builder<static>  $moves
     */
    #[Scope]
    protected function current(Builder $moves, int $workshopId): void
    {
        $table = $this->getTable();
        $moves->where("{$table}.workshop_id", $workshopId)->where("{$table}.withdrawn", false)
            ->whereNotIn("{$table}.id", static fn (Query $later): Query => $later->from("{$table} AS later")->where('later.workshop_id', $workshopId)->whereNotNull('later.supersedes')->select('later.supersedes'));
    }
}
