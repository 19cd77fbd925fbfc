<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Drafts\DiscardDraft;
use App\Drafts\DraftCollision;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\Plan;
use App\Http\Api\Inputs\Publish;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Http\Api\Reading\Version;
use App\Models\Course;
use App\Pages\Api\Courses\CoursesBuilder;
use App\Pages\Api\Courses\DraftTold;
use App\Pages\Api\Courses\RehearsalTold;
use App\Pages\Api\Courses\RevisionTold;
use App\Publishing\Plans\PutPlanInDraft;
use App\Publishing\PublishDraft;
use App\Publishing\SetPublication;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilentKeep\Core\Time\Instant;

/** What waits to be published: put, rehearsed, published or thrown away. */
final readonly class DraftsController
{
    public function __construct(private CoursesBuilder $courses)
    {
    }

    #[Operation('The draft of a course', answers: DraftTold::class, says: 'Its version is its ETag; 0 where there is none.', headers: ['ETag'])]
    public function show(Request $request, Course $course): JsonResponse
    {
        Asked::of($request);

        return $this->told($course);
    }

    #[Operation('Puts a plan document into the draft', answers: DraftTold::class, takes: Plan::class, says: 'Of this course alone. It is one edit, and can be undone. Learners see nothing of it.', problems: [ProblemKind::Collision], needsVersion: true, headers: ['ETag'])]
    public function update(Request $request, Course $course, PutPlanInDraft $put): JsonResponse
    {
        Body::type($request);
        try {
            $put($course, self::seen($request, $course), $request->getContent(), WhoLooks::signedIn($request));
        } catch (DraftCollision $e) {
            throw new Problem(ProblemKind::ChangedMeanwhile, $e->getMessage());
        }

        return $this->told($course->refresh());
    }

    #[Operation('Throws the draft away', status: 204, says: 'What is live stays as it is.', problems: [ProblemKind::Collision], needsVersion: true)]
    public function destroy(Request $request, Course $course, DiscardDraft $discard): Response
    {
        $discard($course, self::seen($request, $course), WhoLooks::signedIn($request));

        return new Response(status: 204);
    }

    #[Operation('What publishing the draft would do to the people', answers: RehearsalTold::class, says: 'On the real people. What takes longer than a moment is left to the queue, and answered with 202: ask again.', also: [202 => RehearsalTold::class])]
    #[Parameter('at', 'For which instant; left out: at once.', ParameterType::Instant)]
    public function rehearse(Request $request, Course $course): JsonResponse
    {
        $at = Asked::of($request)->number('at');
        $told = $this->courses->rehearsal($course, $at, WhoLooks::signedIn($request)) ?? throw new Problem(ProblemKind::NotFound, Say::text('drafts.draft_conflict.there_nothing_publish_draft'));

        return new JsonResponse($told, $told->finished ? 200 : 202, ['Cache-Control' => 'no-store', ...($told->finished ? [] : ['Retry-After' => '2'])]);
    }

    #[Operation('Publishes the draft', answers: RevisionTold::class, status: 201, takes: Publish::class, says: 'What takes something from people is published only with the receipt of its rehearsal. With `at` it waits for that instant, and is answered with 202.', problems: [ProblemKind::Collision, ProblemKind::Unseen], also: [202 => DraftTold::class])]
    public function publish(Request $request, Course $course, PublishDraft $publish, SetPublication $set): JsonResponse
    {
        $body = Body::as($request, Publish::class);
        if ($body->at !== null) {
            $set($course, $body->version, Instant::parse($body->at), $body->receipt, $body->note, WhoLooks::signedIn($request));

            return new JsonResponse($this->courses->draft($course->refresh()), 202);
        }
        [$revision] = $publish($course, $body->version, $body->receipt, $body->note, WhoLooks::signedIn($request));

        return new JsonResponse(CoursesBuilder::revision($revision->load('author')), 201);
    }

    /** @throws Problem if it is not the version that is there */
    private static function seen(Request $request, Course $course): int
    {
        $seen = Version::seen($request);

        return $seen === ($course->draft->version ?? 0) ? $seen : throw new Problem(ProblemKind::ChangedMeanwhile, Say::text('drafts.draft_conflict.somebody_else_has_changed'));
    }

    private function told(Course $course): JsonResponse
    {
        $told = $this->courses->draft($course);

        return new JsonResponse($told, 200, ['ETag' => Version::etag($told->version), 'Cache-Control' => 'no-store, private']);
    }
}
