<?php

declare(strict_types=1);

namespace App\Actions\Spec;

use App\Models\SpecSheet;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Spec\SpecSheetReader;

/** Brings the typical spec sheets that ship with core into the database, each validated first. */
final class LoadTypicalSheets
{
    /** @return int how many were loaded */
    public function __invoke(): int
    {
        $files = glob(base_path('core/specs/*.json')) ?: [];

        return DB::transaction(static function () use ($files): int {
            foreach ($files as $file) {
                /** @var array<string, mixed> $sheet */
                $sheet = json_decode((string) file_get_contents($file), true, 32, JSON_THROW_ON_ERROR);
                $type = SpecSheetReader::read($sheet)->type->value;
                SpecSheet::query()->updateOrCreate(
                    ['workshop_id' => null, 'type' => $type],
                    ['name' => $sheet['name'], 'sheet' => $sheet],
                );
            }

            return count($files);
        });
    }
}
