<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement("ALTER TABLE workshops ADD COLUMN currency text NOT NULL DEFAULT 'USD' CHECK (currency ~ '^[A-Z]{3}$'), ADD COLUMN units text NOT NULL DEFAULT 'in' CHECK (units IN ('in', 'mm')), ADD COLUMN is_demo boolean NOT NULL DEFAULT false");

        // Who was there before roles could do everything; somebody has to be able to invite the others.
        DB::statement("ALTER TABLE users ADD COLUMN role text NOT NULL DEFAULT 'owner' CHECK (role IN ('owner', 'technician', 'helper', 'guest')), ADD COLUMN deactivated_at timestamptz, ADD COLUMN planter_id bigint REFERENCES planters, ADD COLUMN link_sha256 text UNIQUE, ADD COLUMN link_expires_at timestamptz, ADD COLUMN made_by bigint REFERENCES users");
        DB::statement('ALTER TABLE users ALTER role DROP DEFAULT, ALTER email DROP NOT NULL, ALTER password DROP NOT NULL');
        // A guest comes by a link to one planter, everybody else by email and password.
        DB::statement("ALTER TABLE users ADD CONSTRAINT users_way_in CHECK (CASE WHEN role = 'guest' THEN email IS NULL AND password IS NULL AND planter_id IS NOT NULL AND link_sha256 IS NOT NULL AND link_expires_at IS NOT NULL ELSE email IS NOT NULL AND password IS NOT NULL AND planter_id IS NULL AND link_sha256 IS NULL END)");
        DB::statement('CREATE INDEX users_of_workshop ON users (workshop_id)');

        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->index()->constrained();
            $table->text('role');
            $table->text('email')->nullable();
            $table->text('link_sha256')->unique();
            $table->timestampTz('expires_at');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->timestampTz('accepted_at')->nullable();
            $table->foreignId('accepted_by')->nullable()->constrained('users');
            $table->foreignId('made_by')->constrained('users');
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE invitations ADD CHECK (role IN ('owner', 'technician', 'helper')), ADD CHECK ((accepted_at IS NULL) = (accepted_by IS NULL))");

        // The one-time address with which an empty installation begins.
        Schema::create('set_ups', function (Blueprint $table): void {
            $table->id();
            $table->text('link_sha256')->unique();
            $table->timestampTz('expires_at');
            $table->timestampTz('used_at')->nullable();
            $table->timestampsTz();
        });

        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->text('email')->primary();
            $table->text('token');
            $table->timestampTz('created_at')->nullable();
        });

        Schema::create('sessions', function (Blueprint $table): void {
            $table->text('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->text('ip_address')->nullable();
            $table->text('user_agent')->nullable();
            $table->text('payload');
            $table->integer('last_activity')->index();
        });

        // Who did what, of all that is no event of the record; columns as spatie/laravel-activitylog has them.
        Schema::create('activity_log', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->nullable()->constrained();
            $table->text('log_name')->nullable();
            $table->text('description');
            $table->nullableMorphs('subject', 'subject');
            $table->text('subject_name')->nullable();
            $table->text('event')->nullable();
            $table->nullableMorphs('causer', 'causer');
            $table->jsonb('properties')->nullable();
            $table->uuid('batch_uuid')->nullable();
            $table->timestampsTz();
            $table->index(['workshop_id', 'id']);
        });

        // Tries at something that is guessed at, by key; counted before they are answered.
        Schema::create('tries', function (Blueprint $table): void {
            $table->text('key')->primary();
            $table->integer('count');
            $table->timestampTz('until')->index();
        });
    }
};
