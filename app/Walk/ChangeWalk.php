<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Change;
use Ustrel\Core\Walk\WalkOrder;

/** Changes the way through a walk: its order, or which checks are walked. What was read stays. */
final readonly class ChangeWalk
{
    public function __construct(private Change $change)
    {
    }

    /** @param  array<mixed>|null  $checks  null to leave them */
    public function __invoke(Walk $walk, ?WalkOrder $order, ?array $checks): Walk
    {
        return $this->change->of($walk->planter, static function (Planter $planter, Affected $affected) use ($walk, $order, $checks): Walk {
            $walk = Walk::query()->findOrFail($walk->id)->setRelation('planter', $planter);
            $walk->walk_order = $order ?? $walk->walk_order;
            if ($checks !== null) {
                $chosen = ChosenChecks::of($checks, $walk->readSheet());
                // With other checks it is that pack no more.
                $walk->pack = $chosen === $walk->checks ? $walk->pack : null;
                $walk->checks = $chosen;
                $walk->countPlaces();
                $affected->counted[$walk->id] = true;
            }
            $walk->save();

            return $walk;
        });
    }
}
