<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use DateTimeInterface;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\Watched;

final readonly class WatchAlarmView extends Schema
{
    public function __construct(
        public int $id,
        public DateTimeInterface $at,
        public AlarmKind $kind,
        public Watched $watched,
        /** @var list<int> */
        public array $rows,
        /** What they share, where that is to blame, in words */
        public ?string $shared,
        /** What is amiss, in words */
        public string $says,
        /** What was going on, in words */
        public string $while,
        public Symptom $symptom,
        public bool $is_sensor,
        /** All of its rows are as they were */
        public bool $is_back,
        public ?DateTimeInterface $seen_at,
        public ?string $seen_by,
        /** What it is like is how it is to be */
        public bool $is_left,
    ) {
    }
}
