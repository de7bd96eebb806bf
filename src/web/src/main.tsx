import "@fontsource-variable/atkinson-hyperlegible-next";
import "./style/base.css";
import "./style/parts.module.css";
import { App as AntApp, ConfigProvider } from "antd";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Mishap } from "./shell/Mishap";
import { Moved } from "./shell/Moved";
import { Queries } from "./shell/Queries";
import { ApplyScreen } from "./stages/apply/ApplyScreen";
import { ConsultScreen } from "./stages/consult/ConsultScreen";
import { Day } from "./stages/day/Day";
import { Desk } from "./stages/desk/Desk";
import { Card } from "./stages/mix/Card";
import { MixScreen } from "./stages/mix/MixScreen";
import { PaintScreen } from "./stages/paint/PaintScreen";
import { Calendar } from "./stages/record/Calendar";
import { Client } from "./stages/record/Client";
import { Data } from "./stages/record/Data";
import { RecordScreen } from "./stages/record/RecordScreen";
import { ReviewScreen } from "./stages/review/ReviewScreen";
import { SectionScreen } from "./stages/section/SectionScreen";
import { Shelf } from "./stages/shelf/Shelf";
import { ToneScreen } from "./stages/tone/ToneScreen";
import { theme } from "./style/theme";
import { toStyles } from "./style/tokens";
import { ShowClient } from "./visit/ShowClient";
import { VisitLayout } from "./visit/VisitLayout";

const router = createBrowserRouter([
  { path: "/", element: <Day />, errorElement: <Mishap /> },
  { path: "/desk", element: <Desk />, errorElement: <Mishap /> },
  { path: "/shelf", element: <Shelf />, errorElement: <Mishap /> },
  { path: "/data", element: <Data />, errorElement: <Mishap /> },
  { path: "/keep", element: <Moved to="/data" /> },
  { path: "/clients/:client", element: <Client />, errorElement: <Mishap /> },
  { path: "/calendar", element: <Calendar />, errorElement: <Mishap /> },
  { path: "/year", element: <Moved to="/calendar" /> },
  { path: "/visits/:visit/card", element: <Card />, errorElement: <Mishap /> },
  { path: "/visits/:visit/show", element: <ShowClient />, errorElement: <Mishap /> },
  {
    path: "/visits/:visit",
    element: <VisitLayout />,
    errorElement: <Mishap />,
    children: [
      { index: true, element: <Navigate to="paint" replace /> },
      { path: "consult", element: <ConsultScreen />, errorElement: <Mishap /> },
      { path: "section", element: <SectionScreen />, errorElement: <Mishap /> },
      { path: "paint", element: <PaintScreen />, errorElement: <Mishap /> },
      { path: "mix", element: <MixScreen />, errorElement: <Mishap /> },
      { path: "apply", element: <ApplyScreen />, errorElement: <Mishap /> },
      { path: "review", element: <ReviewScreen />, errorElement: <Mishap /> },
      { path: "tone", element: <ToneScreen />, errorElement: <Mishap /> },
      { path: "record", element: <RecordScreen />, errorElement: <Mishap /> },
      { path: "keep", element: <Moved to="../record" /> },
      { path: "*", element: <Navigate to="../paint" replace /> },
    ],
  },
  { path: "*", element: <Navigate to="/" replace /> },
]);

toStyles(document.documentElement);
const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ConfigProvider theme={theme} wave={{ disabled: true }}>
        <AntApp>
          <Queries>
            <RouterProvider router={router} />
          </Queries>
        </AntApp>
      </ConfigProvider>
    </StrictMode>,
  );
}
