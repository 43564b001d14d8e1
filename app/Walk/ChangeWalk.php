<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Walk\WalkOrder;

/** Changes the way through a walk: its order, or which checks are walked. What was read stays. */
final readonly class ChangeWalk
{
    public function __construct(private RowProjector $rows)
    {
    }

    /** @param  array<mixed>|null  $checks  null to leave them */
    public function __invoke(Walk $walk, ?WalkOrder $order, ?array $checks): Walk
    {
        return DB::transaction(function () use ($walk, $order, $checks): Walk {
            $walk = Walk::query()->lockForUpdate()->findOrFail($walk->id);
            if ($order !== null) {
                $walk->walk_order = $order;
            }
            if ($checks !== null) {
                $walk->checks = ChosenChecks::of($checks, $walk->readSheet());
                $walk->countPlaces();
            }
            $walk->save();
            if ($checks !== null) {
                $this->rows->project($walk);
            }

            return $walk;
        });
    }
}
