<?php

declare(strict_types=1);

namespace App\Providers;

use App\Access\ClockAhead;
use App\Access\Plans;
use App\Access\SchoolOf;
use App\Access\Shelf\CourseShelf;
use App\Access\Staff\Gates;
use App\Access\Staff\StaffCourses;
use App\Checks\CourseFindings;
use App\Checks\KnownOfCourses;
use App\Database\Hand;
use App\Database\OneWriterPgsql;
use App\Database\WaitingConnection;
use App\Database\WaitingConnector;
use App\Drafts\DraftDiscarded;
use App\Drafts\DraftOfContents;
use App\Drafts\GivenUp\DraftBroughtBack;
use App\Drafts\Outline\ItemsCopied;
use App\Files\LocalCopies;
use App\Http\Api\Middleware\NeedsAbility;
use App\Http\CourseAddresses;
use App\Http\Middleware\EndedSessions;
use App\Http\Plain\PlainPages;
use App\Http\WholeSessions;
use App\Learning\Contents\ContentsDrafted;
use App\Learning\Contents\CopyContents;
use App\Learning\Contents\WriteContent;
use App\Ledger\Rebuilding\TakeUp;
use App\Ledger\Recording\Recording;
use App\Models\ApiToken;
use App\Models\Person;
use App\People\Acts\KeepForGood;
use App\Publishing\Events\ContentsTakenBack;
use App\Publishing\Events\DraftPublished;
use App\Publishing\Events\RetiredForGood;
use App\School\Backup\DatabaseInPlace;
use App\School\Backup\PgsqlInPlace;
use App\School\Backup\SqliteInPlace;
use App\School\Health;
use App\Standins\Mail\Mailer;
use App\Standins\Mail\OutboxTransport;
use App\Standins\Mail\QueuedMailer;
use App\Words\ReaderZone;
use Carbon\FactoryImmutable;
use Illuminate\Auth\Events\Login;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Console\Events\CommandStarting;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\MigrationsStarted;
use Illuminate\Database\Events\NoPendingMigrations;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Inertia\Ssr\Gateway;
use Inertia\Ssr\SsrState;
use Laravel\Sanctum\Sanctum;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(Gateway::class, PlainPages::class);
        // What is written for one page is not another's: the package keeps it for as long as the process lives.
        $this->app->bind(SsrState::class);
        // A copy of a school can be looked at as it will be later.
        $ahead = config('app.clock_ahead');
        $this->app->scoped(ReaderZone::class);
        $this->app->singleton(ClockInterface::class, static fn (): ClockInterface => is_int($ahead) && $ahead !== 0 ? new ClockAhead($ahead) : new FactoryImmutable);
        $this->app->scoped(Hand::class);
        $this->app->bind('db.connector.sqlite', WaitingConnector::class);
        Connection::resolverFor('sqlite', /** @param  array<string, mixed>  $config */
            static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): WaitingConnection => new WaitingConnection($pdo, $database, $prefix, $config));
        Connection::resolverFor('pgsql', /** @param  array<string, mixed>  $config */
            static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): OneWriterPgsql => new OneWriterPgsql($pdo, $database, $prefix, $config));
        $this->app->bind(DatabaseInPlace::class, static fn (): DatabaseInPlace => DB::getDriverName() === 'pgsql' ? new PgsqlInPlace : new SqliteInPlace);
        $this->app->bind(Mailer::class, QueuedMailer::class);
        $this->app->scoped(SchoolOf::class);
        $this->app->scoped(StaffCourses::class);
        $this->app->scoped(Plans::class);
        $this->app->scoped(CourseShelf::class);
        $this->app->scoped(LocalCopies::class);
        // Routes hold on to what answered them.
        $this->app->terminating(fn () => $this->app->make(LocalCopies::class)->forgetAll());
        $this->app->scoped(KnownOfCourses::class);
        $this->app->scoped(CourseFindings::class);
    }

    public function boot(): void
    {
        $proxies = config('app.proxies');
        TrustProxies::at(is_array($proxies) ? array_values(array_filter($proxies, is_string(...))) : []);
        Session::extend('file', static fn ($app): WholeSessions => new WholeSessions($app->make('files'), config()->string('session.files'), config()->integer('session.lifetime')));
        $this->app->when(Health::class)->needs(Migrator::class)->give(static fn ($app): mixed => $app->make('migrator'));
        Event::listen(DiagnosingHealth::class, static fn () => app(Health::class)->check());
        Mail::extend('outbox', static fn (): OutboxTransport => app(OutboxTransport::class));
        Sanctum::usePersonalAccessTokenModel(ApiToken::class);
        Sanctum::authenticateAccessTokensUsing(static fn (mixed $token, bool $isValid): bool => $isValid && $token instanceof ApiToken && ! $token->isOver(app(ClockInterface::class)->now()->getTimestamp()));
        foreach (['api' => 600, 'api-many' => 60] as $name => $aMinute) {
            RateLimiter::for($name, static fn (Request $request): Limit => Limit::perMinute($aMinute)->by("{$name} ".(NeedsAbility::token($request)->id ?? $request->ip())));
        }
        Route::bind('course', CourseAddresses::find(...));
        self::listen();
        Model::shouldBeStrict(! $this->app->isProduction());
        Gates::define();
    }

    /** What happens along with something else, in its transaction. */
    private static function listen(): void
    {
        Event::listen(CommandStarting::class, static fn (CommandStarting $starting) => app(Hand::class)->is('program', (string) $starting->command));
        Event::listen(JobProcessing::class, static fn (JobProcessing $job) => app(Hand::class)->is('program', class_basename($job->job->resolveName())));
        // A table that is made anew loses what the database does along with it, and a column that it names cannot go.
        Event::listen(MigrationsStarted::class, static fn () => Recording::pause());
        Event::listen([MigrationsEnded::class, NoPendingMigrations::class], static fn () => app(TakeUp::class)());
        Event::listen(RetiredForGood::class, static fn (RetiredForGood $retired) => KeepForGood::dispatch($retired->course, $retired->revision, $retired->by));
        Event::listen(ItemsCopied::class, static fn (ItemsCopied $copied) => app(CopyContents::class)($copied->course, $copied->copies, $copied->author));
        Event::listen(ContentsDrafted::class, static fn (ContentsDrafted $drafted) => app(DraftOfContents::class)($drafted->course));
        Event::listen(DraftDiscarded::class, static fn (DraftDiscarded $discarded) => app(WriteContent::class)->leaveAll($discarded->course, $discarded->author));
        Event::listen(DraftBroughtBack::class, static fn (DraftBroughtBack $back) => app(WriteContent::class)->draftAgain($back->course, $back->contents, $back->author));
        Event::listen(ContentsTakenBack::class, static fn (ContentsTakenBack $back) => app(WriteContent::class)->bringBack($back->course, $back->items, $back->author));
        Event::listen(DraftPublished::class, static fn (DraftPublished $published) => app(WriteContent::class)->publish($published->course, $published->author));
        Event::listen(Login::class, static function (Login $login): void {
            if ($login->user instanceof Person && request()->hasSession()) {
                request()->session()->put(EndedSessions::KEY, (string) $login->user->session_key);
            }
        });
    }
}
