<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/** Notes who made, changed or removed it, with what stood before and after. */
trait IsWatched
{
    use LogsActivity;

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()
            ->logAll()
            ->logExcept(['id', 'workshop_id', 'created_at', 'updated_at', ...$this->unwatched()])
            ->logOnlyDirty()
            ->dontSubmitEmptyLogs()
            ->dontLogIfAttributesChangedOnly(['updated_at', ...$this->unwatched()]);
    }

    /** @return list<string> columns that are secret, or that the program keeps by itself */
    protected function unwatched(): array
    {
        return [];
    }
}
