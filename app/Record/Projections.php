<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Parts\FittingProjector;
use App\Walk\WalkProjector;
use App\Wear\ForecastProjector;
use App\Wear\WearRecord;
use Illuminate\Database\Eloquent\Model;

/** All projections, in the order in which one looks at another. */
final readonly class Projections
{
    private const PROJECTORS = [FittingProjector::class, WalkProjector::class, ForecastProjector::class];

    /** What was touched, on a planter that is held, with its spec sheet and workshop. */
    public function project(Planter $planter, Affected $affected): void
    {
        $record = new WearRecord($planter);
        $lines = new BulkWrite;
        foreach (self::PROJECTORS as $projector) {
            app($projector)->project($record, $affected, $lines);
        }
        $lines->write();
    }

    /** @return list<class-string<Model>> */
    public static function models(): array
    {
        return array_merge(...array_map(static fn (string $projector): array => $projector::draws(), self::PROJECTORS));
    }
}
