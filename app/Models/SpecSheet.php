<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\SpecSheetReader;

/**
 * A spec sheet as kept: a typical one (no workshop) or a workshop's own copy.
 *
 * @property int $id
 * @property int|null $workshop_id
 * @property int|null $copied_from_id
 * @property string $name
 * @property string $type
 * @property array<string, mixed> $sheet shape: docs/formats.md
 */
final class SpecSheet extends Model
{
    use HasVersion;
    use IsWatched;

    private const MOST_READ = 50;

    protected $guarded = [];

    protected $casts = ['sheet' => 'array'];

    /**
     * Those a workshop may use: the typical ones and its own.
     *
     * @return Builder<self>
     */
    public static function usableBy(int $workshopId): Builder
    {
        return self::query()->where(
            static fn (Builder $sheets): Builder => $sheets->whereNull('workshop_id')->orWhere('workshop_id', $workshopId),
        );
    }

    /** @return HasMany<Planter, $this> */
    public function planters(): HasMany
    {
        return $this->hasMany(Planter::class);
    }

    public function read(): Sheet
    {
        return self::readFor((string) $this->attributes['sheet'], null);
    }

    /** What it speaks of, and of a shop's own sheet also what its planters carry besides. */
    public function shown(): Sheet
    {
        $planters = $this->workshop_id === null ? collect() : $this->loadMissing('planters')->planters;

        return $this->read()->with(array_values($planters->map(fn (Planter $planter): Equipment => Equipment::of($planter->equipment, RowUnitType::from($this->type)))->all()));
    }

    /**
     * A written sheet for what a planter carries. Reading one takes longer than all else on a board, and a planter and its
     * walks mostly share theirs: each is read once.
     *
     * @param  string  $written  as JSON
     * @param  string|null  $equipment  as JSON; null for all that the type can have
     */
    public static function readFor(string $written, ?string $equipment): Sheet
    {
        /** @var array<string, Sheet> $read */
        static $read = [];
        if (count($read) > self::MOST_READ) {
            $read = [];
        }
        $sheet = $read[$key = md5($written)] ??= SpecSheetReader::read(json_decode($written, true));

        return $equipment === null ? $sheet : $read["{$key} {$equipment}"] ??= $sheet->for(Equipment::of(json_decode($equipment, true), $sheet->type));
    }

    /** @return list<string> */
    protected function written(): array
    {
        return ['name', 'sheet'];
    }
}
