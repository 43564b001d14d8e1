<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
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
 * @property Workshop|null $workshop
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

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** What it speaks of, and of a shop's own sheet also what its planters carry besides. */
    public function shown(): Sheet
    {
        $carried = [];
        foreach ($this->loadMissing('workshop.planters.specSheet')->workshop->planters ?? [] as $planter) {
            $sheets = [$planter->spec_sheet_id, ...array_map(static fn (array $other): int => $other['spec_sheet_id'] ?? $planter->spec_sheet_id, $planter->other_rows)];
            foreach (in_array($this->id, $sheets, true) ? $planter->units()->kinds() : [] as $at => [$equipment]) {
                $carried = $sheets[$at] === $this->id ? [...$carried, $equipment] : $carried;
            }
        }

        return $this->read()->with($carried);
    }

    /**
     * The planters that have rows which go by a sheet.
     *
     * @return Builder<Planter>
     */
    public static function followers(int $sheet): Builder
    {
        return Planter::query()->where(static fn (Builder $planters): Builder => $planters
            ->where('spec_sheet_id', $sheet)
            ->orWhereJsonContains('other_rows', [['spec_sheet_id' => $sheet]]))->orderBy('id');
    }

    public function read(): Sheet
    {
        return self::readWritten((string) $this->attributes['sheet']);
    }

    /** @param  string  $written  as JSON */
    public static function readWritten(string $written): Sheet
    {
        return self::once(md5($written), static fn (): Sheet => SpecSheetReader::read(json_decode($written, true)));
    }

    /** @param  Closure(): Sheet  $read */
    public static function once(string $key, Closure $read): Sheet
    {
        /** @var array<string, Sheet> $known */
        static $known = [];
        if (count($known) > self::MOST_READ) {
            $known = [];
        }

        return $known[$key] ??= $read();
    }

    /** @return list<string> */
    protected function written(): array
    {
        return ['name', 'sheet'];
    }
}
