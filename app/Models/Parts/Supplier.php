<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Concerns\IsWatched;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Parts\Stock\CounterFault;
use Ustrel\Core\Parts\Stock\Offer;

/**
 * Where a workshop gets its parts.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $notes
 * @property list<array{part_type_id: int, price: float|null, lead_days: int|null, since: string}> $prices
 * @property string|null $counter where its parts counter is asked: an address, or practice: and how the stand-in is to behave
 * @property list<array{part_type_id: int, known: bool, price: float|null, in_stock: int|null, lead_days: int|null}> $answers what that said last
 * @property CarbonImmutable|null $answered_at when it was asked that
 * @property CounterFault|null $fault why it could not the last time; null once it has
 * @property string $fault_about the part's number, or the currency
 * @property CarbonImmutable|null $failed_at when it was asked that
 * @property int $revision counts its changes
 */
final class Supplier extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['notes' => '', 'prices' => '[]', 'answers' => '[]', 'fault_about' => '', 'revision' => 0];

    protected $casts = ['prices' => 'array', 'answers' => 'array', 'answered_at' => 'immutable_datetime', 'fault' => CounterFault::class, 'failed_at' => 'immutable_datetime'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /**
     * What it asks and how long it takes, by what is newer: what somebody wrote down, or what its counter answered. Where the
     * one does not say, the other does.
     *
     * @return array<int, Offer> by part type
     */
    public function offers(string $timeZone): array
    {
        $answeredOn = $this->answered_at?->setTimezone($timeZone)->toDateString();
        $answers = array_column(array_filter($this->answers, static fn (array $answer): bool => $answer['known']), null, 'part_type_id');
        $written = array_column($this->prices, null, 'part_type_id');
        $offers = [];
        foreach (array_keys($written + $answers) as $type) {
            $said = array_values(array_filter([$answers[$type] ?? null, $written[$type] ?? null]));
            if (isset($written[$type]) && $answeredOn !== null && $written[$type]['since'] > $answeredOn) {
                $said = array_reverse($said);
            }
            $price = $said[0]['price'] ?? $said[1]['price'] ?? null;
            $offers[$type] = new Offer($this->id, $price === null ? null : (float) $price, $said[0]['lead_days'] ?? $said[1]['lead_days'] ?? null, $answers[$type]['in_stock'] ?? null);
        }

        return $offers;
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['revision', 'answers', 'answered_at', 'fault', 'fault_about', 'failed_at'];
    }
}
