<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use Closure;

/**
 * Puts other figures into a workshop's own spec sheet. Open walks of planters that use it are judged by them from now on;
 * finished walks keep theirs.
 */
final readonly class ReplaceSheet
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @template T
     *
     * @param  Closure(SpecSheet): array<string, mixed>  $columns  of the spec sheet, worked out once nobody else can change it
     * @param  Closure(): T  $said  asked once all of it is done
     * @param  bool  $keep  false: all of it is taken back
     * @return T
     */
    public function __invoke(SpecSheet $sheet, Closure $columns, Closure $said, bool $keep = true): mixed
    {
        $answer = $this->change->ofWorkshop(
            (int) $sheet->workshop_id,
            static function (Workshop $workshop, Closure $change) use ($sheet, $columns): SpecSheet {
                $sheet->update($columns($sheet->refresh()));
                self::followed($sheet, $change);

                return $sheet;
            },
            then: $said,
            keep: static fn (): bool => $keep,
        );
        $sheet->refresh();

        return $answer;
    }

    /**
     * All planters on a sheet go by its new figures.
     *
     * @param  Closure(Planter, Closure(Planter, Affected): mixed): mixed  $change
     */
    public static function followed(SpecSheet $sheet, Closure $change): void
    {
        foreach (SpecSheet::followers($sheet->id)->get() as $planter) {
            $change($planter, self::follow(...));
        }
    }

    /** A planter goes by a sheet's new figures: its forecasts, and its open walk. */
    public static function follow(Planter $planter, Affected $affected): void
    {
        $affected->figures($planter, $planter->load('specSheet')->asWalked());
    }
}
