<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Inlined;
use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\Board\Http\CellView;
use App\Walk\Board\WalkNews;
use LogicException;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Trend;
use Ustrel\Core\Walk\Place;

final readonly class WalkStepView extends Schema
{
    public function __construct(
        #[Inlined] public CellView $cell,
        /** @var list<BandView>|null Only where the season's outlook counts; else the check's, or those of row_bands */
        #[OmittedWhenNull] public ?array $bands,
        /** @var list<DoubtView>|null Only where last time counts; else the check's */
        #[OmittedWhenNull] public ?array $doubts,
    ) {
    }

    public static function of(Place $place, WalkNews $news): self
    {
        $board = $news->board;
        $check = $board->sheet->checkAt($place) ?? throw new LogicException("{$place->key()} is no place of this planter.");
        $last = ($board->last[$place->key()] ?? null)?->answer()->quantity;
        $outlook = $news->outlooks[$place->key()] ?? null;

        return new self(
            CellView::of($place, $board),
            $outlook === null ? null : BandView::of($check, Background::of($outlook)),
            $last === null || $check->rule->trend() === Trend::Free ? null : DoubtView::ofPlace($check, $last),
        );
    }
}
