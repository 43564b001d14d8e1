<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** What holds at one place of a walk: the newest reading there, and how it is judged. */
final readonly class CellState
{
    /**
     * @param  string|null  $value  as the database keeps it
     * @param  list<string>  $chips
     * @param  list<array{code: string, ref: float|null, unit: string|null}>  $reasons
     * @param  float|null  $lifeLeft  0 to 1
     * @param  bool  $isChanged  it is not yet kept like this
     */
    public function __construct(
        public Place $place,
        public string $readingId,
        public Result $result,
        public ?string $value,
        public ?string $state,
        public array $chips,
        public Moment $takenAt,
        public Verdict $verdict,
        public array $reasons,
        public ?float $lifeLeft,
        public bool $isChanged,
    ) {
    }

    /** @return array<string, mixed> a line of the table cells */
    public function line(Walk $walk): array
    {
        return [
            'walk_id' => $walk->id,
            ...Cell::at($this->place),
            'planter_id' => $walk->planter_id,
            'season' => $walk->season,
            'reading_id' => $this->readingId,
            'result' => $this->result->value,
            'value' => $this->value,
            'state' => $this->state,
            'chips' => $this->chips,
            'verdict' => $this->verdict->value,
            'reasons' => $this->reasons,
            'life_left' => $this->lifeLeft === null ? null : round($this->lifeLeft, 4),
            'taken_at' => $this->takenAt->toIso(),
        ];
    }
}
