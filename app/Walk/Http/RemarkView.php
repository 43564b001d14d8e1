<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Remark;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class RemarkView extends Schema
{
    public function __construct(
        public string $id,
        public string $walk,
        public int $row,
        public CheckKey $check,
        public Side $side,
        public int $season,
        public DateTimeInterface $taken_at,
        public string $taken_by,
    ) {
    }

    public static function of(Remark $remark): self
    {
        return new self(
            id: $remark->id,
            walk: $remark->walk,
            row: $remark->place->row,
            check: $remark->place->check,
            side: $remark->place->side,
            season: $remark->season,
            taken_at: CarbonImmutable::parse($remark->takenAt),
            taken_by: $remark->takenBy,
        );
    }
}
