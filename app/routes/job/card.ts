import { IsInt, IsString, MaxLength, Min, validateSync } from "class-validator";
import { plainToInstance } from "class-transformer";
import { THUMBNAIL } from "core/drawing";
import { jsonOf } from "~/data/body.server";
import { keepPicture, pictureOf } from "~/data/shelf.server";
import type { Route } from "./+types/card";

class PictureDoc {
  @IsInt() @Min(0) revision!: number;
  @IsString() @MaxLength(60_000) picture!: string;
}

/** The picture on a job's card, as an image: the same for both themes. It is asked for by its revision, so it can be kept for good. */
export function loader({ params }: Route.LoaderArgs) {
  const picture = pictureOf(params.job);
  if (!picture) return new Response("There is no picture of this job yet.", { status: 404 });
  // each stick hides what lies behind it, so each is a path of its own
  const sticks = picture
    .split(/(?=M)/)
    .map((d) => `<path d="${d}"/>`)
    .join("");
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-4 -4 ${THUMBNAIL.width + 8} ${THUMBNAIL.height + 8}"><g fill="#EAD9B6" stroke="#6B5433" stroke-width="1.3" stroke-linejoin="round">${sticks}</g></svg>`;
  return new Response(svg, {
    headers: {
      "content-type": "image/svg+xml",
      "cache-control": "private, max-age=31536000, immutable",
      "content-security-policy": "default-src 'none'; style-src 'unsafe-inline'",
      "x-content-type-options": "nosniff",
    },
  });
}

/** Takes the picture that a browser drew of a revision. */
export async function action({ request, params }: Route.ActionArgs) {
  const body = plainToInstance(PictureDoc, ((await jsonOf(request, 200_000).catch(() => undefined)) ?? {}) as object);
  if (!(body instanceof PictureDoc) || validateSync(body, { whitelist: true, forbidNonWhitelisted: true }).length > 0)
    return Response.json(
      { ok: false, sentence: "A picture is an SVG path and the revision it shows." },
      { status: 400 },
    );
  return Response.json({ ok: keepPicture(params.job, body.revision, body.picture) });
}
