<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The projection: what a planter's record teaches of one subject, as sums that add up over the planters of a shop.
 *
 * @property int $planter_id
 * @property Lesson $lesson
 * @property string $subject
 * @property float $count
 * @property float $total
 * @property float $squares
 */
final class LearnedSum extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = ['lesson' => Lesson::class, 'count' => 'float', 'total' => 'float', 'squares' => 'float'];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /**
     * What all planters of a workshop teach.
     *
     * @return array<string, list<array{float, float, float}>> count, total and squares of each planter, by subject
     */
    public static function ofWorkshop(int $workshopId, Lesson $lesson): array
    {
        $sums = [];
        $lines = self::query()->where('lesson', $lesson)->whereHas('planter', static fn (Builder $planter): Builder => $planter->where('workshop_id', $workshopId)->where('is_sample', false))->orderBy('planter_id')->orderBy('subject')->get();
        foreach ($lines as $line) {
            $sums[$line->subject][] = [$line->count, $line->total, $line->squares];
        }

        return $sums;
    }

    /**
     * @param  array<string, array{float|int, float|int, float|int}>  $sums  count, total and squares, by subject
     * @return list<array<string, mixed>>
     */
    public static function lines(int $planterId, Lesson $lesson, array $sums): array
    {
        return array_map(
            static fn (string $subject, array $of): array => ['planter_id' => $planterId, 'lesson' => $lesson->value, 'subject' => $subject, 'count' => $of[0], 'total' => $of[1], 'squares' => $of[2]],
            array_keys($sums),
            $sums,
        );
    }
}
