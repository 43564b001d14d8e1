<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;

/**
 * An event that a later one may take the place of: columns of its owner, supersedes and withdrawn.
 *
 * @method static Builder<static> current(int ...$ownerIds)
 */
trait HasCurrent
{
    /** Whose event it is: a planter's, or a workshop's. */
    protected function owner(): string
    {
        return 'planter_id';
    }

    /**
     * The events of an owner, or of several, that hold: neither superseded nor taken back. The ids that were superseded are few, have an
     * index of their own, and are read once.
     *
     * @param  Builder<static>  $events
     */
    #[Scope]
    protected function current(Builder $events, int ...$ownerIds): void
    {
        [$table, $owner] = [$this->getTable(), $this->owner()];
        $events
            ->whereIn("{$table}.{$owner}", $ownerIds)
            ->where("{$table}.withdrawn", false)
            ->whereNotIn("{$table}.id", static fn (Query $later): Query => $later
                ->from("{$table} AS later")
                ->whereIn("later.{$owner}", $ownerIds)
                ->whereNotNull('later.supersedes')
                ->select('later.supersedes'));
    }
}
