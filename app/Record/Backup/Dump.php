<?php

declare(strict_types=1);

namespace App\Record\Backup;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/** The whole database, by PostgreSQL's own programs. */
final class Dump
{
    private const SNAPSHOT = 'snapshot';

    /**
     * @template T
     *
     * @param  Closure(string): T  $see  gets the name of a connection that sees what is dumped and nothing that is written meanwhile
     * @return T
     *
     * @throws BackupFailed
     */
    public static function write(string $file, Closure $see): mixed
    {
        config(['database.connections.'.self::SNAPSHOT => config('database.connections.pgsql')]);
        $connection = DB::connection(self::SNAPSHOT);
        try {
            $connection->statement('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
            $snapshot = $connection->scalar('SELECT pg_export_snapshot()');
            self::run(['pg_dump', '--format=custom', '--no-owner', '--no-privileges', "--snapshot={$snapshot}", "--file={$file}"], 'not_dumped');

            return $see(self::SNAPSHOT);
        } catch (QueryException $failed) {
            throw BackupFailed::because('not_dumped', ['why' => $failed->getPrevious()?->getMessage() ?? $failed->getMessage()]);
        } finally {
            DB::purge(self::SNAPSHOT);
        }
    }

    /**
     * In the place of all that is in the database, whatever a newer version has there: all of it is taken back in one go, or nothing is.
     *
     * @param  string|null  $into  another database than the application's
     *
     * @throws BackupFailed
     */
    public static function takeBack(string $file, ?string $into = null): void
    {
        $script = '{ echo "DROP SCHEMA public CASCADE; CREATE SCHEMA public;"; pg_restore --no-owner --no-privileges --file=- "$FILE"; } | psql --quiet --no-psqlrc --single-transaction --set=ON_ERROR_STOP=1 --output=/dev/null';
        self::run(['bash', '-o', 'pipefail', '-c', $script], 'not_taken_back', ['FILE' => $file] + ($into === null ? [] : ['PGDATABASE' => $into]));
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $with
     */
    private static function run(array $command, string $otherwise, array $with = []): void
    {
        /** @var array{host: string, port: string|int, database: string, username: string, password: string} $at */
        $at = config('database.connections.pgsql');
        $ran = Process::forever()
            ->env($with + ['PGHOST' => $at['host'], 'PGPORT' => (string) $at['port'], 'PGUSER' => $at['username'], 'PGPASSWORD' => $at['password'], 'PGDATABASE' => $at['database']])
            ->run($command);
        if (! $ran->successful()) {
            throw BackupFailed::because($otherwise, ['why' => trim(strtok($ran->errorOutput(), "\n") ?: '')]);
        }
    }
}
