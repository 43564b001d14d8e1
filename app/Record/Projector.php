<?php

declare(strict_types=1);

namespace App\Record;

use App\Wear\WearRecord;
use Illuminate\Database\Eloquent\Model;

/** Draws up one part of the state from the record. Registered in Projections. */
interface Projector
{
    /** @return list<class-string<Model>> whose lines it draws up, each in a table with a column planter_id or walk_id */
    public static function draws(): array;

    /** Says which lines are to stand, as far as what was touched concerns them. */
    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void;
}
