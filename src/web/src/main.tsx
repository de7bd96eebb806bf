import "@fontsource-variable/atkinson-hyperlegible-next";
import "./app.css";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { App as AntApp, ConfigProvider } from "antd";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { theme } from "./frame/theme";
import { Day } from "./stages/day/Day";
import { Desk } from "./stages/desk/Desk";
import { Card } from "./stages/mix/Card";
import { Workspace } from "./stages/paint/Workspace";
import { Shelf } from "./stages/shelf/Shelf";

const router = createBrowserRouter([
  { path: "/", element: <Day /> },
  { path: "/desk", element: <Desk /> },
  { path: "/shelf", element: <Shelf /> },
  { path: "/visits/:visit/card", element: <Card /> },
  { path: "/visits/:visit/:stage", element: <Workspace /> },
  { path: "*", element: <Navigate to="/" replace /> },
]);
const queries = new QueryClient({ defaultOptions: { queries: { refetchOnWindowFocus: false, retry: 1 } } });

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ConfigProvider theme={theme}>
        <AntApp>
          <QueryClientProvider client={queries}>
            <RouterProvider router={router} />
          </QueryClientProvider>
        </AntApp>
      </ConfigProvider>
    </StrictMode>,
  );
}
