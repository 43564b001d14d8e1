<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\WorkshopFactory;
use DateTimeZone;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ustrel\Core\Field\DepthSchool;
use Ustrel\Core\Measure\Day;

/**
 * The root of everything that is kept: each user, planter and own spec sheet belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property DepthSchool $depth_school what it does about depth stops that do not lift alike
 * @property string $time_zone of the tz database; days begin and end by it
 * @property string $import_key goes into the ids of what is imported
 * @property string $watch_chance over this chance of reaching the limit within the season a part is watched, 0 to 1
 */
final class Workshop extends Model
{
    /** @use HasFactory<WorkshopFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $attributes = ['watch_chance' => '0.2', 'time_zone' => 'UTC', 'depth_school' => 'handle'];

    protected $casts = ['depth_school' => DepthSchool::class];

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->time_zone);
    }

    /** The day that it is in the workshop. */
    public function today(): Day
    {
        return Day::of(CarbonImmutable::now($this->time_zone)->toDateString());
    }

    /** @return HasMany<Planter, $this> */
    public function planters(): HasMany
    {
        return $this->hasMany(Planter::class);
    }
}
