import { isRouteErrorResponse, Links, Meta, Outlet, Scripts, ScrollRestoration } from "react-router";
import { use } from "react";
import { Toaster } from "sonner";
import type { Route } from "./+types/root";
import { Nonce } from "./nonce";
import "./app.css";

const THEME = `try{document.documentElement.dataset.theme=localStorage.getItem("cardo-theme")||"film"}catch{}`;

export function Layout({ children }: { children: React.ReactNode }) {
  const nonce = use(Nonce);
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/mark.svg" type="image/svg+xml" />
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: THEME }} />
        <Meta />
        <Links nonce={nonce} />
      </head>
      <body>
        <a
          href="#main"
          className="sr-only focus:not-sr-only focus:absolute focus:top-2 focus:left-2 focus:z-50 focus:bg-film focus:px-3 focus:py-2"
        >
          Skip to the stage
        </a>
        {children}
        <Toaster position="bottom-center" toastOptions={{ className: "cardo-toast", duration: 8000 }} />
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export const meta: Route.MetaFunction = () => [{ title: "Cardo" }];

export default function App() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const words = isRouteErrorResponse(error)
    ? error.status === 404
      ? "There is nothing at this address. The job may have been taken off the shelf."
      : String(error.data ?? error.statusText)
    : "Something went wrong inside Cardo. What you typed before is kept.";
  return (
    <main className="mx-auto max-w-xl p-12">
      <h1 className="head text-3xl">This page cannot be shown</h1>
      <p className="my-4">{words}</p>
      <a className="act" href="/">
        To the Shelf
      </a>
    </main>
  );
}
