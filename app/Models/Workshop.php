<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Bench\Device;
use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\Work\LubricationPoint;
use Carbon\CarbonImmutable;
use Database\Factories\WorkshopFactory;
use DateTimeZone;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use NumberFormatter;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Field\Emergence\YieldCurve;
use Ustrel\Core\Measure\DateStyle;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Wear\Acres\GroundFactors;

/**
 * The root of everything that is kept: each user, planter and own spec sheet belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property MeterStrategy $meter_school when its meters are due on the stand
 * @property DepthStrategy $depth_school what it does about depth stops that do not lift alike
 * @property string $currency of prices, ISO 4217
 * @property NumberStyle|null $number_style how it writes numbers; null where nobody said
 * @property UnitSystem $units that a new person begins with
 * @property PaperSize $paper
 * @property bool $is_demo made-up data
 * @property string $time_zone of the tz database; days begin and end by it
 * @property string $import_key goes into the ids of what is imported
 * @property array<string, array<string, float>> $ground_factors the shop's own, by kind and case of the ground
 * @property array<string, float> $learned_sd how far the shop measures off, as its readings tell: millimetres by check key
 * @property array<string, float> $own_sd the same as the shop says itself
 * @property string|null $shop_rate of an hour's work
 * @property string|null $depth_cost of an acre planted a quarter of an inch too shallow
 * @property string|null $stop_cost of a stop in season, whatever is done in it
 * @property string|null $stop_hours that the planter stands in a stop besides the work
 * @property int $service_stops a season that worn parts wait for; 0 where each stops the planter at once
 * @property array<string, array<string, mixed>> $own_policy the shop's own rule for each slot. Shape: docs/formats.md
 * @property list<array{name: string, hours: array<int, float>}> $crew who works, with hours by day of the week, 1 for Monday
 * @property array<string, array{unit: string, price: float|int, points: list<array{float|int, float|int}>}> $yield_curves what it says that its crops yield at each stand, by crop: plants and yield an acre
 * @property string $watch_chance over this chance of reaching the limit within the season a part is watched, 0 to 1
 */
final class Workshop extends Model
{
    /** @use HasFactory<WorkshopFactory> */
    use HasFactory;

    use HasVersion;
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['currency' => 'USD', 'number_style' => null, 'paper' => 'a4', 'units' => 'in', 'is_demo' => false, 'watch_chance' => '0.2', 'time_zone' => 'UTC', 'depth_school' => 'handle', 'meter_school' => 'seasons', 'ground_factors' => '{}', 'learned_sd' => '{}', 'own_sd' => '{}', 'shop_rate' => null, 'stop_cost' => null, 'depth_cost' => null, 'stop_hours' => null, 'service_stops' => 0, 'own_policy' => '{}', 'crew' => '[]', 'yield_curves' => '{}'];

    protected $casts = ['units' => UnitSystem::class, 'number_style' => NumberStyle::class, 'paper' => PaperSize::class, 'is_demo' => 'boolean', 'depth_school' => DepthStrategy::class, 'meter_school' => MeterStrategy::class, 'ground_factors' => 'array', 'learned_sd' => 'array', 'own_sd' => 'array', 'own_policy' => 'array', 'crew' => 'array', 'yield_curves' => 'array'];

    protected function written(): array
    {
        return ['watch_chance', 'time_zone', 'depth_school', 'meter_school', 'ground_factors', 'own_sd', 'currency', 'number_style', 'shop_rate', 'stop_cost', 'depth_cost', 'stop_hours', 'service_stops', 'crew', 'own_policy'];
    }

    /** What the shop says that a crop yields at each stand; null where it says nothing of it. */
    public function yieldCurve(string $crop): ?YieldCurve
    {
        $curve = $this->yield_curves[mb_strtolower(trim($crop))] ?? null;

        return $curve === null ? null : YieldCurve::of(array_map(static fn (array $of): array => [(float) $of[0], (float) $of[1]], $curve['points']));
    }

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->time_zone);
    }

    /** As the screens write it: `$1,234.50`. */
    public function money(float $amount, int $places = 2): string
    {
        $format = new NumberFormatter('en', NumberFormatter::CURRENCY);
        $format->setAttribute(NumberFormatter::FRACTION_DIGITS, $places);

        return (string) $format->formatCurrency($amount, $this->currency);
    }

    /** The day that it is in the workshop. */
    public function today(): Day
    {
        return Day::of(CarbonImmutable::now($this->time_zone)->toDateString());
    }

    public function dates(): DateStyle
    {
        return DateStyle::beside($this->number_style);
    }

    /** A day that is near, as the workshop writes it. */
    public function sayDay(Day $day): string
    {
        return $this->dates()->week($day, $this->today());
    }

    public function groundFactors(): GroundFactors
    {
        return new GroundFactors(array_map(static fn (array $cases): array => array_map(floatval(...), $cases), $this->ground_factors));
    }

    /** @return array<string, float> how far the shop measures off, millimetres by check key; its own figure goes before what was learned */
    public function measuringSd(): array
    {
        return array_map(floatval(...), $this->own_sd + $this->learned_sd);
    }

    /** @return array<string, mixed> what a walk keeps of the shop's figures: once finished it goes by them for good */
    public function ofWalk(): array
    {
        return ['watch_chance' => $this->watch_chance, 'measuring_sd' => $this->measuringSd(), 'depth_school' => $this->depth_school];
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }

    /** @return HasMany<User, $this> those who work here, guests not among them */
    public function people(): HasMany
    {
        return $this->users()->where('role', '!=', Role::Guest);
    }

    /** @return HasMany<Invitation, $this> */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class);
    }

    /** @return HasMany<LubricationPoint, $this> what is said otherwise of typical ones, and its own */
    public function lubricationPoints(): HasMany
    {
        return $this->hasMany(LubricationPoint::class)->orderBy('id');
    }

    /** @return HasMany<Device, $this> */
    public function stands(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** @return HasMany<Planter, $this> with the sample, if there is one */
    public function planters(): HasMany
    {
        return $this->hasMany(Planter::class);
    }

    /** @return HasMany<Planter, $this> those that count in what the shop needs, does and learns */
    public function ownPlanters(): HasMany
    {
        return $this->planters()->where('is_sample', false);
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['import_key', 'learned_sd', 'is_demo'];
    }
}
