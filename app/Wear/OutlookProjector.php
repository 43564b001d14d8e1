<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Walk;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Spec\Outlook;

/** Keeps for each walk from which size on its readings will not last the season: the table outlooks. */
final readonly class OutlookProjector
{
    public function __construct(private OutlookQuery $outlooks)
    {
    }

    /** @return array<string, Outlook> by place key */
    public function project(Walk $walk): array
    {
        $outlooks = $this->outlooks->reckoned($walk);
        $lines = [];
        foreach ($outlooks as $key => $outlook) {
            [$row, $check, $side] = explode(':', $key);
            $lines[] = [
                'walk_id' => $walk->id, 'row_number' => (int) $row, 'check_key' => $check, 'side' => $side,
                'turns_at' => number_format($outlook->turnsAt->unit()->valueOf($outlook->turnsAt), 6, '.', ''),
            ];
        }
        DB::table('outlooks')->where('walk_id', $walk->id)->delete();
        foreach (array_chunk($lines, 1000) as $chunk) {
            DB::table('outlooks')->insert($chunk);
        }

        return $outlooks;
    }

    /** Gives the walk a name for its outlooks and renewals as they are now, so that a device sees that they have changed. */
    public function name(Walk $walk): void
    {
        $state = DB::selectOne(<<<'SQL'
            SELECT md5(coalesce((SELECT string_agg(outlooks::text, ';' ORDER BY row_number, check_key, side) FROM outlooks WHERE walk_id = ?), '')
                || coalesce((SELECT string_agg(renewals::text, ';' ORDER BY row_number, check_key, side) FROM renewals WHERE walk_id = ?), '')) AS hash
            SQL, [$walk->id, $walk->id]);
        $walk->outlook_hash = substr($state->hash, 0, 16);
        DB::table('walks')->where('id', $walk->id)->update(['outlook_hash' => $walk->outlook_hash]);
    }
}
