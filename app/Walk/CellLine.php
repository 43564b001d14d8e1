<?php

declare(strict_types=1);

namespace App\Walk;

use App\Walk\Board\StoredAnswer;
use stdClass;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** A reading of a walk, or the place that it was judged at, as the database hands it out by the thousand. */
final readonly class CellLine
{
    public Place $place;

    public StoredAnswer $stored;

    public Result $result;

    public Moment $at;

    /** @param  list<string>  $chips */
    private function __construct(
        public string $reading,
        public ?string $value,
        public ?string $state,
        public array $chips,
        /** Null of a reading that nothing was judged of yet. */
        public ?Verdict $verdict,
        public ?float $lifeLeft,
        stdClass $row,
    ) {
        $this->place = new Place($row->row_number, CheckKey::from($row->check_key), Side::from($row->side));
        $this->stored = new StoredAnswer($row->check_key, $row->value, $row->state, $row->chips);
        $this->result = Result::from($row->result);
        $this->at = Moment::ofMilliseconds($row->at);
    }

    /** @param  stdClass  $row  of the table readings or cells; a model for each of thousands would take longer than all else */
    public static function of(stdClass $row): self
    {
        return new self(
            $row->reading_id, $row->value, $row->state, json_decode($row->chips, true),
            isset($row->verdict) ? Verdict::from($row->verdict) : null, isset($row->life_left) ? (float) $row->life_left : null, $row,
        );
    }

    public function quantity(): ?Quantity
    {
        return $this->stored->answer()?->quantity;
    }
}
