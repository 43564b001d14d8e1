<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a file in, to be worked on in the background. */
final readonly class StartImport
{
    public function __construct(private ImportFiles $files)
    {
    }

    /**
     * @param  array<mixed>|null  $mapping  shape: the ImportMapping schema of the OpenAPI document; null: to be guessed
     * @param  list<int>  $leaveOut  numbers of lines that are not wanted
     */
    public function __invoke(Planter $planter, User $by, string $path, string $name, ImportKind $kind, ImportMode $mode, ?array $mapping, array $leaveOut): Import
    {
        return DB::transaction(function () use ($planter, $by, $path, $name, $kind, $mode, $mapping, $leaveOut): Import {
            $import = Import::query()->create([
                'planter_id' => $planter->id, 'kind' => $kind->value, 'mode' => $mode->value, 'state' => ImportState::Waiting,
                'file_name' => mb_substr(mb_scrub($name), 0, 200), 'sha256' => (string) hash_file('sha256', $path), 'mapping' => $mapping, 'leave_out' => $leaveOut,
                'kept' => 0, 'left_out' => 0, 'user_id' => $by->id, 'imported_at' => CarbonImmutable::now(),
            ]);
            $this->files->keep($import, $path);
            TakeImport::dispatch($import->id)->afterCommit();

            return $import;
        });
    }
}
