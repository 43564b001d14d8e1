<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use App\Walk\Board\CurrentReading;
use App\Walk\Board\Http\RibbonRowView;
use App\Walk\Board\Remarks;
use App\Walk\Board\WalkNews;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Walk\Pace;

/** What a walk guide and its news share. */
final readonly class WalkStateView extends Schema
{
    public function __construct(
        /** Another one means that the figures, the rows or the choice of checks have changed: get the guide again */
        public string $version,
        /** Of the planter: while it is the same there is nothing new */
        public int $revision,
        /** To ask for news since */
        public Moment $as_of,
        /** @var list<RibbonRowView> */
        public array $ribbon,
        public RibbonRowView $whole_planter,
        /** @var array<string, DoubtView> What the other rows make hard to believe: by check, or by check and row with a space between for those of row_checks */
        public array $row_doubts,
        /** @var array<string, list<BandView>> The bands of the checks that compare rows, by what the rows read now: by check, or by check and row with a space between for those of row_checks and where each row has an aim of its own */
        public array $row_bands,
        /** This walk's own pace; null while too little was read */
        public ?float $seconds_a_reading,
        /** @var list<NoteView> Of this walk, and hard joints of earlier ones */
        public array $notes,
        /** @var list<PhotoView> */
        public array $photos,
    ) {
    }

    public static function of(WalkNews $news): self
    {
        $board = $news->board;
        $remarks = app(Remarks::class);

        return new self(
            version: self::version($board),
            revision: $board->planter->revision,
            as_of: $news->asOf,
            ribbon: array_map(RibbonRowView::of(...), $board->ribbon),
            whole_planter: RibbonRowView::of($board->wholePlanter),
            row_doubts: DoubtView::ofRows($board),
            row_bands: BandView::ofRows($board),
            seconds_a_reading: self::pace($board),
            notes: array_map(NoteView::of(...), $remarks->notesFor($board->planter, $board->walk)),
            photos: $board->walk === null ? [] : array_map(PhotoView::of(...), $remarks->photosOfWalk($board->walk)),
        );
    }

    private static function pace(Board $board): ?float
    {
        $times = array_map(static fn (CurrentReading $reading): int => (int) strtotime($reading->takenAt), array_values($board->current));
        $pace = Pace::secondsAReading($times);

        return $pace === null ? null : round($pace, 2);
    }

    private static function version(Board $board): string
    {
        $walk = $board->walk;
        $shape = $walk === null
            ? $board->planter->asWalked()
            : [$walk->asWalked(), $walk->checks, $walk->finished_at?->timestamp, $walk->guide_revision];

        return substr(sha1(json_encode($shape, JSON_THROW_ON_ERROR)), 0, 16);
    }
}
