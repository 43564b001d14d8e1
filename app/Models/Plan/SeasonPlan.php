<?php

declare(strict_types=1);

namespace App\Models\Plan;

use App\Models\Casts\AsDay;
use App\Models\Concerns\IsWatched;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Measure\Day;

/**
 * What a season is to bring for a planter: its fields, its pace, what delay costs, what has to be ready.
 *
 * @property int $id
 * @property int $planter_id
 * @property int $season
 * @property string|null $mph
 * @property string|null $efficiency over 0 to 1
 * @property bool $counts_fills the fills are counted by themselves, and the efficiency is that of turning alone
 * @property string|null $fill_minutes
 * @property list<array{name: string, holds: float, rate: float, unit: string, crop?: string|null}> $tanks
 * @property string|null $hours_a_day
 * @property string|null $fit_share of days fit for fieldwork, over 0 to 1
 * @property string|null $delay_price for an acre planted a day late
 * @property Day|null $delay_after the last day that is not late
 * @property list<string> $ticked steps of the countdown that somebody says are done
 * @property list<array{id: string, title: string, due: string, done: bool}> $own_items
 * @property list<array{name: string, crop: string|null, acres: float, soil: string|null, residue: string|null, tillage: string|null, seed: string|null, seed_lot_id?: int|null, population: int|null}> $fields
 * @property int $revision counts its changes
 * @property Planter $planter
 */
final class SeasonPlan extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = [
        'mph' => null, 'efficiency' => null, 'counts_fills' => false, 'fill_minutes' => null, 'tanks' => '[]', 'hours_a_day' => null, 'fit_share' => null,
        'delay_price' => null, 'delay_after' => null, 'ticked' => '[]', 'own_items' => '[]', 'fields' => '[]', 'revision' => 0,
    ];

    protected $casts = ['counts_fills' => 'boolean', 'tanks' => 'array', 'delay_after' => AsDay::class, 'ticked' => 'array', 'own_items' => 'array', 'fields' => 'array'];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['revision'];
    }
}
