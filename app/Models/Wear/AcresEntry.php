<?php

declare(strict_types=1);

namespace App\Models\Wear;

use App\Models\Bench\SeedLot;
use App\Models\Casts\AsDay;
use App\Models\Concerns\HasCurrent;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\RateUnit;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\PassKind;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

/**
 * One field that a planter has planted on a day: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property Day $day
 * @property string $field
 * @property string|null $crop
 * @property string $acres of the whole planter
 * @property string|null $mph
 * @property Soil|null $soil
 * @property Residue|null $residue
 * @property Tillage|null $tillage
 * @property DownforceLevel|null $downforce how hard the rows were pressed down
 * @property string $severity of the ground by the shop's figures, which may change, or its own
 * @property bool $own_severity the shop's own figure
 * @property array<int, float> $shares by row, the share of it that the row ran
 * @property string|null $lot of seed, as it was named
 * @property int|null $seed_lot_id the lot, where the shop has it in its list
 * @property string|null $units_drawn of it, by what a unit held at that moment
 * @property PassKind $pass
 * @property list<string> $left_out products that were to go on and did not
 * @property list<array{from: float, population: int}> $populations seeds an acre, and the acres behind which each holds
 * @property list<array{name: string, rate: float, unit: string}> $products
 * @property string|null $map_acres its size by the map
 * @property string|null $around what was made do with
 * @property string|null $until
 * @property bool $around_over
 * @property string $note
 * @property bool $withdrawn
 * @property string|null $supersedes
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256
 * @property User $user
 * @property SeedLot|null $seedLot
 */
final class AcresEntry extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $table = 'acres_log';

    protected $attributes = ['populations' => '[]', 'products' => '[]', 'left_out' => '[]', 'pass' => 'planting', 'around_over' => false, 'note' => ''];

    protected $guarded = [];

    protected $casts = [
        'day' => AsDay::class,
        'soil' => Soil::class,
        'residue' => Residue::class,
        'tillage' => Tillage::class,
        'downforce' => DownforceLevel::class,
        'own_severity' => 'boolean',
        'shares' => 'array',
        'populations' => 'array',
        'products' => 'array',
        'left_out' => 'array',
        'pass' => PassKind::class,
        'around_over' => 'boolean',
        'withdrawn' => 'boolean',
        'recorded_at' => 'immutable_datetime',
    ];

    /** What was set and changed; null where nobody said. */
    public function population(): ?Populations
    {
        return $this->populations === [] ? null : Populations::of(array_map(static fn (array $part): array => ['from' => (float) $part['from'], 'population' => $part['population']], $this->populations));
    }

    /** @return list<Product> */
    public function goesOn(): array
    {
        return array_map(static fn (array $of): Product => Product::of($of['name'], (float) $of['rate'], RateUnit::from($of['unit'])), $this->products);
    }

    /** The lot as it is called now; as it was written, where the shop has none of that name. */
    public function lotName(): ?string
    {
        return $this->seedLot->name ?? $this->lot;
    }

    /**
     * Passes that planted: only they wear row units and count as planted.
     *
     * @param  Builder<self>  $lines
     */
    #[Scope]
    protected function planted(Builder $lines): void
    {
        $lines->where('acres_log.pass', PassKind::Planting);
    }

    /** @return BelongsTo<SeedLot, $this> */
    public function seedLot(): BelongsTo
    {
        return $this->belongsTo(SeedLot::class);
    }

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
