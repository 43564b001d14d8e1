<?php

declare(strict_types=1);

namespace App\Record\Backup;

use Illuminate\Support\Facades\Process;

/** The whole database, by PostgreSQL's own programs. */
final class Dump
{
    /** @throws BackupFailed */
    public static function write(string $file): void
    {
        self::run('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', "--file={$file}"], 'not_dumped');
    }

    /**
     * In the place of all that is in the database, in one go: it is all taken back, or nothing is.
     *
     * @param  string|null  $into  another database than the application's
     *
     * @throws BackupFailed
     */
    public static function takeBack(string $file, ?string $into = null): void
    {
        self::run('pg_restore', ['--single-transaction', '--clean', '--if-exists', '--no-owner', '--no-privileges', '--dbname='.($into ?? config('database.connections.pgsql.database')), $file], 'not_taken_back');
    }

    /** @param  list<string>  $arguments */
    private static function run(string $program, array $arguments, string $otherwise): void
    {
        /** @var array{host: string, port: string|int, database: string, username: string, password: string} $at */
        $at = config('database.connections.pgsql');
        $ran = Process::forever()
            ->env(['PGHOST' => $at['host'], 'PGPORT' => (string) $at['port'], 'PGUSER' => $at['username'], 'PGPASSWORD' => $at['password'], 'PGDATABASE' => $at['database']])
            ->run([$program, ...$arguments]);
        if (! $ran->successful()) {
            throw BackupFailed::because($otherwise, ['why' => trim(strtok($ran->errorOutput(), "\n") ?: '')]);
        }
    }
}
